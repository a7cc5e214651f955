# frozen_string_literal: true

module UprightBench
  module Services
    class SetClocks
      # What the clocks of machines rest on, read for all of them at once: four queries, however many they are.
      class Facts
        # @param machines [Array<Models::Machine>]
        # @param policies [Policies]
        def initialize(machines, policies: Policies.now)
          ids = machines.map(&:id)
          @factors = policies.household_factors
          @readings = Models::UseReading.where(machine_id: ids).all.group_by(&:machine_id)
          @learned = Models::Learned.where(machine_id: ids).all.group_by(&:machine_id)
          @open = Models::Due.running.where(machine_id: ids).all.group_by(&:machine_id)
          @fittings = Models::Fitting.in_place.where(machine_id: ids).all.group_by(&:machine_id)
        end

        # @!attribute factors
        #   @return [Hash{Symbol=>Float}] trait of a household => what an interval is multiplied by
        attr_reader :factors

        # @return [Core::Use::Rate]
        def use_rate(machine, on)
          machine.use_rate(on, @readings.fetch(machine.id, []))
        end

        # @return [Hash{String=>Array(Integer, Date)}] place => percent and when it was read
        def strips(machine)
          learned(machine).reject { |row| row.strip_at.nil? }.to_h { |row| [row.position, [row.strip_percent, Config::Zone.date(row.strip_at)]] }
        end

        # @return [Hash{String=>Core::Use::Personal}] by place
        def personal(machine)
          learned(machine).to_h { |row| [row.position, Core::Use::Personal.new(ratios: row.ratios.to_a)] }
        end

        # @return [Hash{Array(String, String)=>Models::Due}] by place and task
        def open(machine)
          @open.fetch(machine.id, []).to_h { |due| [[due.position, due.task], due] }
        end

        # @return [Hash{String=>Models::Fitting}] by place
        def fittings(machine)
          @fittings.fetch(machine.id, []).to_h { |fitting| [fitting.position, fitting] }
        end

        private

        def learned(machine)
          @learned.fetch(machine.id, [])
        end
      end
    end
  end
end
