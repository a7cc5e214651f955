# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What fits, best first; what nearly does; where nothing fits, the reason that says so; and another that names
      # what must be in place together with it.
      class Answer
        include Value

        fields :candidates, :near_misses, nothing: nil, together: nil
      end
    end
  end
end
