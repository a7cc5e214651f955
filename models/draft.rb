# frozen_string_literal: true

module UprightBench
  module Models
    # A sheet being edited. Its content keeps every rule of a sheet at every moment.
    class Draft < Sequel::Model(:sheet_drafts)
      plugin :optimistic_locking
      many_to_one :sheet
      many_to_one :base, class: "UprightBench::Models::SheetVersion", key: :base_version_id
      many_to_one :beginner, class: "UprightBench::Models::Person", key: :begun_by

      # @return [Hash{String=>Object}] a copy that may be changed, in the format of today
      def data
        Core::Sheets::Upgrade.call(JSON.parse(JSON.generate(content.to_hash)))
      end

      # @return [Core::Sheets::Sheet]
      def to_core
        Core::Sheets::Parse.new(data).call
      end
    end
  end
end
