# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A part that fits, with the reasons, strongest first.
      class Candidate
        include Value

        fields :part, :evidence, :reasons
      end
    end
  end
end
