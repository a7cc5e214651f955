# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # A plan of all operations: when each begins and ends, and who does it.
      class Schedule
        # @!attribute order [Array<Integer>] the steps in the order in which they were placed
        # @!attribute given [Array<Integer, nil>] whom a step was given to, whoever would have been soonest
        # @!attribute starts [Array<Integer>] by step, in minutes
        # @!attribute ends [Array<Integer>] likewise
        # @!attribute people [Array<Integer>] likewise, the index of a technician
        # @!attribute parts [Array<Array>] likewise, the parts in which it is done
        # @!attribute waits_for [Array<Symbol, nil>] likewise, what it waits for: :rack, :seat or :wet_bench
        attr_reader :problem, :order, :given, :starts, :ends, :people, :parts, :waits_for

        def initialize(problem, order, given, done)
          @problem = problem
          @order = order
          @given = given
          @starts, @ends, @people, @parts, @waits_for = done
        end

        # @param job [Integer] index
        # @return [Integer] when its last operation ends
        def ready(job)
          @ends[@problem.steps_of[job].last.index]
        end

        # @return [Array<Integer>] by job
        def readies
          @readies ||= @problem.steps_of.map { |steps| @ends[steps.last.index] }
        end

        # @param job [Integer] index
        # @return [Array<Array(Problem::Step, Symbol)>] its operations that wait for a place, and what they wait for
        def waiting(job)
          @problem.steps_of[job].filter_map { |step| [step, @waits_for[step.index]] if @waits_for[step.index] }
        end

        # @param step [Integer]
        # @return [Technician] who does it
        def technician(step)
          @problem.shop.technicians[@people[step]]
        end

        # @param step [Integer]
        # @return [Hash{Symbol=>Integer}] from and till, in minutes
        def moments(step)
          { from: @starts[step], till: @ends[step] }
        end

        # @return [Array<Integer>] the steps as they begin
        def by_start
          @by_start ||= @order.sort_by { |step| [@starts[step], @ends[step], step] }
        end
      end
    end
  end
end
