# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # How pressing a step is: the latest moment at which it may begin, with all that follows it in its job. Of what
      # nothing is promised, what has most before it comes first, so that drying begins early.
      class Urgency
        NO_LIMIT = 10_000_000 # minutes: after everything that is promised

        # @param problem [Problem]
        # @param limits [Hash{Integer=>Integer}] job's index => until when it must be ready, in minutes worked
        def initialize(problem, limits)
          @limits = limits
          @tails = {}
          problem.steps_of.each { |steps| tails(steps, problem.shop.open) }
        end

        # @param step [Problem::Step]
        # @return [Integer]
        def rank(step)
          @limits.fetch(step.job, NO_LIMIT) - @tails.fetch(step.index)
        end

        # @return [Boolean] whether it may wait for the other
        def later?(step, other)
          !step.fixed && rank(step) > rank(other)
        end

        private

        # Of waits, the part of them in which somebody could work, more or less.
        def tails(steps, open)
          open_share = open.worked(open.till.last).fdiv(open.till.last)
          steps.reverse.inject(0) do |tail, step|
            @tails[step.index] = tail + step.minutes
            tail + step.minutes + (step.dry * open_share).round
          end
        end
      end
    end
  end
end
