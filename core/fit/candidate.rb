# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A part that fits, with the reasons, strongest first. `evidence` is one of Find::EVIDENCE; `goes_back` what
      # comes out for it and belongs to the customer.
      class Candidate
        include Value

        fields :part, :evidence, :reasons, goes_back: []
      end
    end
  end
end
