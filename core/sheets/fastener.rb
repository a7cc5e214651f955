# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What holds a part: how many, the driver, the length where it matters, the turns of a lock.
      class Fastener
        include Value

        fields :count, :driver, length_mm: nil, turns: nil, note: nil

        TURNS = { 0.125 => "an eighth turn", 0.25 => "a quarter turn", 0.5 => "half a turn", 1 => "one turn" }.freeze

        # @return [String] as in "3 × T8, 10 mm"
        def words
          ["#{count} × #{driver}", ("#{length_mm} mm" if length_mm), turn_words, note].compact.join(", ")
        end

        private

        def turn_words
          turns && (TURNS[turns] || "#{Units::Figure.words(turns)} turns")
        end

        def check
          hold(count.is_a?(Integer) && count.positive?, "a fastener's count is a whole number above 0")
          hold(driver.is_a?(String) && driver.match?(/\S/), "a fastener names its driver")
          hold(none_or_above_zero?(length_mm), "a fastener's length is a number above 0")
          hold(none_or_above_zero?(turns), "turns are a number above 0")
        end

        def hold(kept, rule)
          raise ArgumentError, rule unless kept
        end

        def none_or_above_zero?(value)
          value.nil? || (value.is_a?(Numeric) && value.positive?)
        end
      end
    end
  end
end
