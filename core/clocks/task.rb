# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # A task of a position: what is to be done again and again, and the clocks that say when.
      # `card` tells whether a customer is written to about it (a monthly wash at home is not).
      class Task
        include Value

        fields :key, :action, :clocks, card: true, disposable: false

        # What each action at a place counts as having done there. A new part starts every clock of its place.
        DONE_BY = { replace: %i[replace wash clean inspect], wash: %i[wash clean inspect], clean: %i[clean inspect], inspect: %i[inspect] }.freeze
        ACTIONS = DONE_BY.keys.freeze
        COUNTED_DUST = %w[bags washes].freeze # counts that come round faster in a dusty home

        # @param one [Symbol] an action
        # @param other [Symbol] another at the same place
        # @return [Boolean] whether who does the one need not do the other
        def self.covers?(one, other)
          one != other && DONE_BY.fetch(one).include?(other)
        end

        # The household shortens washing, cleaning and what fills with dust; never a maker's fixed months, nor what an indicator says
        # of this very household.
        # @param clock [Clock] one of this task's
        def shortened_by_household?(clock)
          return false if clock.kind == :indicator

          disposable || action == :wash || action == :clean || COUNTED_DUST.include?(clock.of)
        end

        # What was found before moves what goes by use or dust; again, never a maker's fixed months.
        # @param clock [Clock] one of this task's
        def follows_findings?(clock)
          clock.kind == :hours || shortened_by_household?(clock)
        end

        private

        def check
          raise ArgumentError, "unknown action #{action}" unless ACTIONS.include?(action)
          raise ArgumentError, "a task needs a clock" if clocks.empty?
        end
      end
    end
  end
end
