# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # A task of a position: what is to be done again and again, and the clocks that say when.
      # `card` tells whether a customer is written to about it (a monthly wash at home is not).
      class Task
        include Value

        fields :key, :action, :clocks, card: true, disposable: false

        ACTIONS = %i[wash clean replace inspect].freeze
        COUNTED_DUST = %w[bags washes].freeze # counts that come round faster in a dusty home

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
