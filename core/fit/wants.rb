# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What this customer needs beside a part that fits.
      class Wants
        include Value

        fields allergy: false, smell: false, in_warranty: false
      end
    end
  end
end
