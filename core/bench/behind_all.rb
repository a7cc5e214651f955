# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Where a job goes that finds no place among the others: it comes after them in the order, and is begun only where
      # they leave so much room that nobody is late when it takes longer.
      class BehindAll
        WIDE = [1.5, 3].freeze # times its minutes: the room that it needs

        # @param problem [Problem] with the job
        # @param chain [Chain] of the job
        # @param order [Array<Integer>] steps of the others
        # @param given [Array<Integer, nil>] by step, whose it is
        # @param standing [Standing] the plan without it
        # @param chances [Chances]
        def initialize(problem:, chain:, order:, given:, standing:, chances: Chances.new)
          @problem = problem
          @chain = chain
          @steps = problem.steps_of[problem.job(chain.number)]
          @order = [*order, *@steps.map(&:index)]
          @given = given
          @standing = standing
          @chances = chances
        end

        # @return [Array(Schedule, Replay)]
        # @raise [BeyondHorizon]
        def call
          at_once || on_a_later_day || after_everything
        end

        private

        def at_once
          WIDE.each do |factor|
            harmless = harmless(factor)
            return harmless if harmless
          end
          nil
        end

        # On the first day on which that harms nobody, which is looked for by halving.
        def on_a_later_day
          soonest = nil
          openings.bsearch do |opening|
            harmless = harmless(WIDE.last, opening)
            soonest = harmless if harmless
            !harmless.nil?
          end
          soonest
        end

        # @return [Array<Integer>] when work begins again before the plan ends, also after a break
        def openings
          @problem.shop.open.from.grep(1..ends_of_all)
        end

        def after_everything
          carried_out(@steps.to_h { |step| [[@chain.number, step.operation.key], ends_of_all] })
        end

        def ends_of_all
          @standing.schedule.ends.max || 0
        end

        # @param factor [Numeric] on the minutes of the job
        # @param opening [Integer] a moment before which it is not begun
        # @return [Array(Schedule, Replay), nil] nil where the chances of others suffer, or there is no such room
        def harmless(factor, opening = 0)
          operations = @chain.operations.map { |operation| wider(operation, factor, opening) }
          schedule, replay = carried_out(begins_of(@chain.with(operations: operations)))
          [schedule, replay] if @standing.harmless?(replay)
        rescue BeyondHorizon
          nil
        end

        def wider(operation, factor, opening)
          operation.with(pieces: operation.pieces.map { |piece| (piece * factor).ceil },
            not_before: [operation.not_before, opening].max)
        end

        # @return [Hash{Array=>Integer}] operation => when a wider job would begin it, placed after all others
        def begins_of(wide)
          chains = @problem.chains.map { |chain| chain.number == wide.number ? wide : chain }
          starts = Placing.new(Problem.new(@problem.shop, chains, @problem.holds)).call(@order, @given).starts
          @steps.to_h { |step| [[wide.number, step.operation.key], starts[step.index]] }
        end

        # @param holds [Hash{Array=>Integer}] of the operations of the job
        def carried_out(holds)
          problem = Problem.new(@problem.shop, @problem.chains, @problem.holds.merge(holds))
          schedule = Placing.new(problem).call(@order, @given)
          [schedule, Replay.new(schedule, chances: @chances)]
        end
      end
    end
  end
end
