# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What a practised search cost, beside what the best would have cost: on average, and with hindsight.
      class Debrief
        # The step that cost most: what was checked, what would have been better, and how many minutes more that was on
        # average.
        Dearest = Struct.new(:check, :better, :minutes, keyword_init: true)
        WORTH_TELLING = 0.5 # minutes

        # @param search [Search]
        # @param results [Array<Array(String, Symbol)>] key of a check and its result, in their order
        # @param hidden [Array<String>] what it was
        def initialize(search, results, hidden)
          @search = search
          @results = results
          @hidden = hidden
        end

        # @return [Float]
        def minutes
          Ladder.new(@search, @results).spent
        end

        # @return [Float, nil] minutes of the best order on average, from the beginning
        def best_on_average
          belief = Belief.of(@search).to_h
          openings = @search.openings.to_h { |opening| [opening.key, opening.minutes] }
          looks = @search.checks.reject(&:splits)
          return ExactOrder.new(belief, @search.checks, openings).minutes if ExactOrder.can?(@search.checks)
          return ExactOrder.new(belief, looks, openings).minutes if ExactOrder.can?(looks)

          GreedyOrder.new(belief, looks, openings).minutes
        end

        # @return [Float] minutes of the looks alone that show it
        def with_hindsight
          looks = @hidden.filter_map do |cause|
            @search.checks.select { |check| !check.splits && check.shows.key?(cause) }.min_by(&:minutes)
          end.uniq
          looks.sum(&:minutes) + @search.opening_minutes(looks.flat_map(&:needs).uniq)
        end

        # @return [Dearest, nil] nil when no step cost much, or none can be weighed
        def dearest
          found = @results.each_index.filter_map { |index| weighed(@results.first(index), @results[index].first) }
          found.select { |one| one.minutes >= WORTH_TELLING }.max_by(&:minutes)
        end

        private

        def weighed(before, key)
          steps = steps_after(before)
          chosen = steps.find { |check, _| check.key == key } or return
          Dearest.new(check: chosen[0], better: steps.first[0], minutes: chosen[1] - steps.first[1])
        end

        # @return [Array<Array(Check, Float)>] none where they cannot be weighed
        def steps_after(results)
          ladder = Ladder.new(@search, results)
          return [] if ladder.found

          checks = [ladder.left, ladder.left.reject(&:splits)].find { |left| ExactOrder.can?(left) }
          checks ? ExactOrder.new(ladder.belief.to_h, checks, ladder.openings).first_steps : []
        end
      end
    end
  end
end
