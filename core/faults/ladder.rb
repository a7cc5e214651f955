# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # Where a search stands after some results, and what comes next.
      class Ladder
        # What comes next: `share` is how likely its sign is, `opens` what has to come off for it, `minutes` with that;
        # `to_go` the minutes to be expected from here when it comes first, and `other` the next best first step with
        # its minutes.
        Step = Struct.new(:check, :share, :opens, :minutes, :to_go, :other, :other_to_go, :how, keyword_init: true)

        # Below that, a cause is not worth another minute by itself.
        SETTINGS_FIRST = 0.01

        attr_reader :search, :belief, :found

        # @param search [Search]
        # @param results [Array<Array(String, Symbol)>] key of a check and its result, in their order
        # @param mended [Array<String>] causes that were mended, and the complaint is still there
        def initialize(search, results = [], mended: [])
          @search = search
          @results = results.to_h
          @belief = believed(results, mended)
          @found = proven(results, mended)
        end

        # @return [Array<Check>] those that were not done
        def left
          @left ||= @search.checks.reject { |check| @results.key?(check.key) }
        end

        # @return [Array<Cause>] the likeliest first, of which something is left
        def causes
          @search.causes.sort_by.with_index { |cause, index| [-@belief[cause.key], index] }
        end

        # @return [Float]
        def none
          @belief[Belief::NONE]
        end

        # @return [Step, nil] nil when something was found, or nothing is left to do
        def next_step
          return if @found || useful.empty?

          settings ? step_for(settings, nil) : ordered_step
        end

        # @return [Float] minutes that were spent, openings with them
        def spent
          done = @results.keys.map { |key| @search.check_of(key) }
          done.sum(&:minutes) + @search.opening_minutes(made)
        end

        # @return [Hash{String=>Numeric}] minutes of what is not open yet
        def openings
          @openings ||= @search.openings.reject { |opening| made.include?(opening.key) }
            .to_h { |opening| [opening.key, opening.minutes] }
        end

        private

        def believed(results, mended)
          seen = results.inject(Belief.of(@search)) do |belief, (key, result)|
            belief.after(@search.check_of(key), result)
          end
          mended.any? ? seen.without(mended) : seen
        end

        # @return [Array<Cause>, nil] what was shown and is not mended yet, the likeliest first
        def proven(results, mended)
          found = results.select { |_, result| result == :found }.map { |key, _| @search.check_of(key) }
          shown = found.select(&:proves?).last&.shows&.keys
          causes.select { |cause| shown.include?(cause.key) } unless shown.nil? || shown.intersect?(mended)
        end

        def made
          @made ||= @results.keys.flat_map { |key| @search.check_of(key).needs }.uniq
        end

        # Checks that can still show or part something.
        def useful
          @useful ||= left.select do |check|
            check.splits ? parts?(check) : check.shows.any? { |cause, _| @belief[cause] > 1e-4 }
          end
        end

        def parts?(check)
          sign = @belief.sign(check)
          sign > 1e-3 && sign < 1 - 1e-3
        end

        # They cost a minute and open nothing.
        def settings
          useful.find { |check| check.key == PlanSearch::SETTINGS && @belief.sign(check) > SETTINGS_FIRST }
        end

        def ordered_step
          return greedy_step unless ExactOrder.can?(useful)

          first, other = ExactOrder.new(@belief.to_h, useful, openings).first_steps
          step_for(first[0], first[1], other: other, how: :exact)
        end

        def greedy_step
          order = GreedyOrder.new(@belief.to_h, useful, openings)
          first = order.first || useful.first
          step_for(first, order.minutes, how: :greedy)
        end

        def step_for(check, to_go, other: nil, how: :first)
          opens = check.needs & openings.keys
          minutes = check.minutes + openings.slice(*opens).each_value.sum
          Step.new(check: check, share: @belief.sign(check), opens: opens, minutes: minutes, to_go: to_go,
            other: other&.first, other_to_go: other&.last, how: how)
        end
      end
    end
  end
end
