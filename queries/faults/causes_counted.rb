# frozen_string_literal: true

module UprightBench
  module Queries
    # What was behind a complaint how often, by the shop's own searches on all models of a family.
    module CausesCounted
      module_function

      # @param sheet [Core::Sheets::Sheet]
      # @param complaint [String]
      # @return [Hash{String=>Integer}] by cause
      def call(sheet, complaint)
        family = Sequel.lit("sheet_versions.content ->> 'family'")
        found = { Sequel[:fault_searches][:complaint] => complaint, outcome: "found" }
        Models::FaultSearch.where(found)
          .join(:jobs, id: :job_id).join(:sheet_versions, id: :sheet_version_id).where(family => sheet.family)
          .group_and_count(:cause).as_hash(:cause, :count)
      end
    end
  end
end
