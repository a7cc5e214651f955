# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # The plan that stands, made anew when something has happened. First what can be better without any promise being
      # less sure; then, where one is in danger, what saves it at the cost of others that stay out of danger.
      class Anew
        WORTH = 15 # minutes, summed over all jobs, below which nothing is moved about for being ready sooner
        GAIN = 0.1 # that all promises together must be surer by, for one of them to be less sure (house rule)

        # @param standing [Standing]
        def initialize(standing)
          @standing = standing
          @chances = Chances.new
        end

        # @param moves [Integer] plans that are tried; as many again where a promise is in danger
        # @return [Schedule] one that is worth it, else the one that stands
        def call(moves:)
          schedule = without_harm(moves)
          standing = schedule.equal?(@standing.schedule) ? @standing : carried_out(schedule)
          standing.in_danger.empty? ? schedule : saving(standing, moves)
        end

        private

        def without_harm(moves)
          aim = Aim.of(@standing)
          before = @standing.schedule
          after = improved(before, aim, moves)
          worth?(aim, before, after) ? after : before
        end

        def worth?(aim, before, after)
          harms = [after, before].map { |schedule| aim.harm(schedule) }
          (harms.first <=> harms.last).negative? || aim.cost(before).last - aim.cost(after).last >= WORTH
        end

        # @return [Schedule] the best of those that bring nobody into danger; else the one that stands
        def saving(standing, moves)
          aim = Aim.saving(standing)
          plans = [standing.schedule, pressing(standing)].compact
            .map { |schedule| carried_out(improved(schedule, aim, moves / 2)) }
          saved = plans.select { |plan| harmless?(plan, standing) }.max_by { |plan| sure(plan) }
          saved && sure(saved) - sure(standing) >= GAIN ? saved.schedule : standing.schedule
        end

        def harmless?(plan, standing)
          (plan.in_danger - standing.in_danger).empty?
        end

        # A plan of its own, in which comes first what presses most: from where something was put off for long, small
        # steps often find no way back.
        # @return [Schedule, nil] nil where there is none within the horizon
        def pressing(standing)
          problem = standing.schedule.problem
          limits = standing.saving_limits.transform_keys { |number| problem.job(number) }
          Placing.new(problem).call(Kept.new.order(problem, limits), [])
        rescue BeyondHorizon
          nil
        end

        # @return [Float] how many promises are kept on average
        def sure(plan)
          plan.shares.values.sum
        end

        def improved(schedule, aim, moves)
          Improve.new(Placing.new(schedule.problem), aim).call(schedule, moves: moves)
        end

        def carried_out(schedule)
          Standing.new(schedule, chances: @chances)
        end
      end
    end
  end
end
