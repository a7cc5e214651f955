# frozen_string_literal: true

module UprightBench
  module Services
    class SetClocks
      # What the clocks of machines rest on, read for all of them at once: two queries, however many they are. Rows and
      # no models: there may be many thousand.
      class Facts
        # @param machines [Array<Models::Machine>]
        # @param policies [Core::Policies::InForce] when the caller has read them
        # @param readings [Array<Models::UseReading>, nil] of all the machines, when the caller has read them
        def initialize(machines, policies: Policies.now, readings: nil)
          @ids = ids = machines.map(&:id)
          @factors = policies.household_factors
          @look_again_days = policies.findings.service_interval_days
          readings ||= Models::UseReading.where(machine_id: ids).as_floats.all
          @readings = readings.group_by(&:machine_id)
          @open = RUNNING.all(ids: Sequel.pg_array(ids, :bigint)).group_by { |due| due[:machine_id] }
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

        # Asked for only where a sheet counts bags.
        # @param places [Array<String>]
        # @param since [Date]
        # @return [Integer] parts that were put in at these places after that day
        def fitted(machine, places, since:)
          @fitted ||= Models::Fitting.where(machine_id: @ids).exclude(fitted_on: nil)
            .select_hash_groups(:machine_id, %i[position fitted_on])
          @fitted.fetch(machine.id, NONE).count { |position, on| on > since && places.include?(position) }
        end

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
          PLACES.all(id: machine.id).to_h { |row| [row[:position], row] }
        end

        def self.in_place
          Models::Fitting.in_place.select(*WASHES)
        end

        def self.learned
          Models::WearHistory.select(*LEARNED)
        end
        private_class_method :in_place, :learned

        # Each table is cut down before they are joined.
        RUNNING = Models::Prepared.new(:dues_with_their_places) do
          these = Sequel.lit("machine_id = ANY(?)", :$ids)
          here = { machine_id: Sequel[:dues][:machine_id], position: Sequel[:dues][:position] }
          Models::Due.running.where(Sequel.lit("dues.machine_id = ANY(?)", :$ids)).select(*DUE, *PLACE)
            .left_join(in_place.where(these), here, table_alias: :fittings)
            .left_join(learned.where(these), here, table_alias: :learned).naked
        end
        # Whatever is known of either alone.
        PLACES = Models::Prepared.new(:places_of_a_machine) do
          of_machine = { machine_id: :$id }
          in_place.where(of_machine).from_self(alias: :fitted)
            .full_join(learned.where(of_machine), [:position], table_alias: :learned).select(:position, *PLACE).naked
        end
        private_constant :RUNNING, :PLACES
      end
    end
  end
end
