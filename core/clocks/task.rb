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
        DONE_BY = { replace: %i[replace wash clean inspect], wash: %i[wash clean inspect], clean: %i[clean inspect],
                    inspect: %i[inspect] }.freeze
        ACTIONS = DONE_BY.keys.freeze

        # @param one [Symbol] an action
        # @param other [Symbol] another at the same place
        # @return [Boolean] whether who does the one need not do the other
        def self.covers?(done, other)
          done != other && DONE_BY.fetch(done).include?(other)
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
