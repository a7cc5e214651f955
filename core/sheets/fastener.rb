# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What holds a part: how many, the driver, the length where it matters.
      class Fastener
        include Value

        fields :count, :driver, length_mm: nil, note: nil

        # @return [String] as in "3 × T8, 10 mm"
        def words
          ["#{count} × #{driver}", ("#{length_mm} mm" if length_mm), note].compact.join(", ")
        end
      end
    end
  end
end
