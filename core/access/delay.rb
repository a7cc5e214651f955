# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # How long whoever failed waits before they may try again: at first not at all, then twice as long each time. All
      # figures are house rules. A person who mistypes waits seconds; a program that guesses gets some eighty tries a
      # day.
      class Delay
        LONGEST_SECONDS = 15 * 60
        FORGOTTEN_AFTER_SECONDS = 24 * 3600

        # @param free [Integer] failures that cost nothing
        def initialize(free:)
          @free = free
        end

        # One address at one account: somebody's own fingers.
        OF_A_PAIR = new(free: 3).freeze
        # One address at all accounts: a shop of many people behind one address, or a program that goes through names.
        OF_AN_ADDRESS = new(free: 12).freeze

        # @param failures [Integer] so far, in a row
        # @return [Integer] seconds
        def seconds(failures)
          over = failures - @free
          return 0 if over.negative?

          [2**[over + 1, 20].min, LONGEST_SECONDS].min
        end
      end
    end
  end
end
