# frozen_string_literal: true

module UprightBench
  module Models
    # A maker's model; its content lives in versions.
    class Sheet < Sequel::Model(:sheets)
      one_to_many :versions, class: "UprightBench::Models::SheetVersion", key: :sheet_id, order: :version

      many_to_one :current_version, class: "UprightBench::Models::SheetVersion", key: :current_version_id

      # @return [Core::Sheets::Sheet] the current version
      def to_core
        SheetVersion.parsed(current_version_id)
      end

      def title
        "#{maker} #{model_name}"
      end
    end
  end
end
