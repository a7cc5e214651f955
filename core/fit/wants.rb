# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What this customer needs beside a part that fits; and whether the shop puts the maker's own before patterns.
      class Wants
        include Value

        fields allergy: false, smell: false, in_warranty: false, makers_first: false
      end
    end
  end
end
