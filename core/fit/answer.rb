# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What fits, best first; what nearly does; and, where nothing fits, a sentence that says so.
      class Answer
        include Value

        fields :candidates, :near_misses, nothing: nil
      end
    end
  end
end
