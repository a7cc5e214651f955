# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A part that looks as if it fitted, with every reason why it does not.
      class NearMiss
        include Value

        fields :part, :reasons
      end
    end
  end
end
