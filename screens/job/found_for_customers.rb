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

          of(finding, unit: unit)
        end

        # @param finding [Models::Finding]
        # @return [String] what was found, or who judged it over the rule, whose reasons are the shop's own
        def self.of(finding, unit:)
          return judged_words(finding) if judged?(finding)

          English::ToCustomers.of(finding.why, unit: unit)
        end

        def self.judged_words(finding)
          "Judged at the bench by #{finding.finder.name}."
        end

        # @param finding [Models::Finding, nil]
        # @return [Boolean] whether the technician overruled the shop's rule
        def self.judged?(finding)
          finding&.why&.key == :own_verdict
        end
      end
    end
  end
end
