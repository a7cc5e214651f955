# frozen_string_literal: true

module UprightBench
  module Services
    class SetClocks
      # What the clocks of machines rest on, read for all of them at once: two queries, however many they are. Rows and
      # no models: there may be many thousand.
      class Facts
        # @param machines [Array<Models::Machine>]
        # @param policies [Core::Policies::InForce] when the caller has read them
        def initialize(machines, policies: Policies.now)
          ids = machines.map(&:id)
          @factors = policies.household_factors
          @look_again_days = policies.findings.service_interval_days
          @readings = Models::UseReading.where(machine_id: ids).as_floats.all.group_by(&:machine_id)
          @open = running(ids).naked.to_hash_groups(:machine_id)
        end

        DUE = %i[id machine_id position task started_on due_on early_on late_on load load_step load_on
                 reasons_mark].map { |name| Sequel[:dues][name] }.freeze
        WASHES = %i[machine_id position wash_count fitted_on].freeze
        LEARNED = %i[machine_id position ratios strip_percent strip_at].freeze
        PLACE = (WASHES | LEARNED).drop(2).freeze
        NONE = [].freeze
        private_constant :DUE, :WASHES, :LEARNED, :PLACE, :NONE

        # @!attribute factors
        #   @return [Hash{Symbol=>Float}] trait of a household => what an interval is multiplied by
        # @!attribute look_again_days
        #   @return [Integer] between two services
        attr_reader :factors, :look_again_days

        # @return [Core::Use::Rate]
        def use_rate(machine, on)
          machine.use_rate(on, @readings.fetch(machine.id, NONE))
        end

        # @return [Array<Hash>] the dues that run, each with what is known of its place
        def open(machine)
          @open.fetch(machine.id, NONE)
        end

        # @return [Hash{String=>Hash}] what is known of each place: the part in it, and what was learned there
        def places(machine)
          [in_place, learned].each_with_object({}) do |known, places|
            known.where(machine_id: machine.id).naked.each { |row| (places[row[:position]] ||= {}).update(row) }
          end
        end

        private

        def in_place
          Models::Fitting.in_place.select(*WASHES)
        end

        def learned
          Models::WearHistory.select(*LEARNED)
        end

        # Each table is cut down before they are joined.
        def running(ids)
          here = { machine_id: Sequel[:dues][:machine_id], position: Sequel[:dues][:position] }
          Models::Due.running.where(Sequel[:dues][:machine_id] => ids).select(*DUE, *PLACE)
            .left_join(in_place.where(machine_id: ids), here, table_alias: :fittings)
            .left_join(learned.where(machine_id: ids), here, table_alias: :learned)
        end
      end
    end
  end
end
