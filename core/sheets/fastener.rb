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
          turns && (TURNS[turns] || "#{format('%g', turns)} turns")
        end

        def check
          unless count.is_a?(Integer) && count.positive?
            raise ArgumentError, "a fastener's count is a whole number above 0"
          end
          raise ArgumentError, "a fastener names its driver" unless driver.is_a?(String) && driver.match?(/\S/)
          unless length_mm.nil? || (length_mm.is_a?(Numeric) && length_mm.positive?)
            raise ArgumentError, "a fastener's length is a number above 0"
          end
          return if turns.nil? || (turns.is_a?(Numeric) && turns.positive?)

          raise ArgumentError, "turns are a number above 0"
        end
      end
    end
  end
end
