# frozen_string_literal: true

module UprightBench
  module Screens
    module Counts
      # A code that was scanned or typed, and how many lie there when they were counted by hand.
      class ScanForm < Form
        takes do
          params do
            required(:code).filled(:string, max_size?: 80)
            optional(:pieces).maybe(:integer, gteq?: 0, lteq?: Services::ScanCount::MOST)
          end
        end
      end
    end
  end
end
