# frozen_string_literal: true

module UprightBench
  module Models
    # One version of a sheet. It never changes, so its parsed form is kept for the life of the process and
    # its content is read once.
    class SheetVersion < Sequel::Model(:sheet_versions)
      many_to_one :sheet
      PARSED = {} # id => Core::Sheets::Sheet; two threads may parse the same one, which is harmless
      private_constant :PARSED

      # @param id [Integer]
      # @return [Core::Sheets::Sheet]
      def self.parsed(id)
        PARSED[id] || with_pk!(id).to_core
      end

      # @return [Core::Sheets::Sheet]
      def to_core
        PARSED[id] ||= Core::Sheets::Parse.new(content.to_hash).call
      end
    end
  end
end
