# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What an operation could turn out to be, in each of Draws::COUNT draws.
      class Chances
        # @param problem [Problem]
        # @param draws [Draws]
        def initialize(problem, draws)
          @problem = problem
          @draws = draws
          @minutes = {}
          @of_steps = {}
        end

        # Log-normal, with the planned minutes as the mean.
        # @param step [Problem::Step]
        # @return [Array<Integer>] minutes, at least one
        def minutes(step)
          planned = step.minutes
          spread = step.operation.spread
          in_order(step, 0) do
            @minutes[[planned, spread]] ||= Draws::SCORES.map do |score|
              [(planned * Math.exp((spread * score) - (spread * spread / 2))).round, 1].max
            end
          end
        end

        # Never less than what was reckoned.
        # @return [Array<Integer>, nil] minutes that pass after the one before it; nil for none
        def dry(step)
          return if step.dry.zero?

          spread = @problem.steps[step.before].operation.dry_spread
          in_order(step, 1) do
            Draws::SCORES.map { |score| (step.dry * Math.exp(spread * [score, 0].max)).round }
          end
        end

        # @return [Array<Integer>, nil] moments before which it cannot begin; nil where it can at once
        def not_before(step)
          moment = step.operation.not_before
          return if moment.zero?

          spread = step.operation.late_spread
          in_order(step, 2) { Draws::SCORES.map { |score| (moment * Math.exp(spread * score)).round } }
        end

        private

        # Each of the three chances of an operation by itself; the same for a job whatever other jobs there are.
        # Worked out once, for all plans of the problem.
        def in_order(step, chance)
          @of_steps[[step.index, chance]] ||= yield.values_at(*@draws.order((key(step) * 3) + chance))
        end

        def key(step)
          (@problem.chains[step.job].number * 8) + step.index - @problem.steps_of[step.job].first.index
        end
      end
    end
  end
end
