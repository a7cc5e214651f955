# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # Why something is on a job's list, as its customer reads it.
      module FoundForCustomers
        # @param item [Models::WorkItem]
        # @param finding [Models::Finding, nil] at its place
        # @param unit [Symbol] in which lengths are written
        # @return [String] what was found; the item's own reason where it came about otherwise
        def self.words(item, finding, unit:)
          return item.reason unless finding&.reason == item.reason

          English::ToCustomers.of(finding.why, unit: unit)
        end
      end
    end
  end
end
