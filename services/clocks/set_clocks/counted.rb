# frozen_string_literal: true

module UprightBench
  module Services
    class SetClocks
      # What the shop counted at a place since a day, for the clocks that run by a count: washes of the part in it, and
      # bags that were put into the machine. Each clock is moved by its own events alone.
      class Counted
        # @param machine [Models::Machine]
        # @param here [Hash] what is known of the place
        # @param facts [Facts]
        # @param start [Date]
        def initialize(machine, here, facts, start)
          @machine = machine
          @here = here
          @facts = facts
          @start = start
        end

        # @param task [Core::Clocks::Task]
        # @param use [Core::Use::Rate]
        # @param on [Date]
        # @return [Hash{String=>Integer}] what its clocks count => how many, where that runs ahead of what is expected
        def of(task, use:, on:)
          clocks = task.clocks.grep(Core::Clocks::Kinds::Count)
          return NOTHING if clocks.empty?

          run = Core::Clocks::Run.new(Core::Clocks::Progress.new(started_on: @start), use)
          clocks.to_h { |clock| [clock.of, send(clock.of)] }
            .select { |what, counted| clocks.any? { |clock| clock.of == what && clock.ahead?(counted, run, on) } }
        end

        private

        def washes
          @here[:wash_count] || 0
        end

        def bags
          @facts.fitted(@machine, bag_places, since: @start)
        end

        def bag_places
          @machine.to_core.positions.select { |place| place.kind == :bag }.map(&:key)
        end
      end
    end
  end
end
