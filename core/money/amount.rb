# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # A sum as it is written on screen and paper.
      module Amount
        module_function

        # @param cents [Integer]
        # @return [String] as in "$16.50"
        def words(cents)
          format("%<sign>s%<whole>d.%<part>02d", sign: "$", whole: cents / 100, part: cents % 100)
        end
      end
    end
  end
end
