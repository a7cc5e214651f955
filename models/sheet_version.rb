# frozen_string_literal: true

module UprightBench
  module Models
    # One version of a sheet. It never changes, so its parsed form is kept for the life of the process and
    # its content is read once.
    class SheetVersion < Sequel::Model(:sheet_versions)
      many_to_one :sheet
      @parsed = {} # id => Core::Sheets::Sheet; two threads may parse the same one, which is harmless

      class << self
        # @param id [Integer]
        # @return [Core::Sheets::Sheet]
        def parsed(id)
          @parsed[id] ||= Core::Sheets::Parse.new(with_pk!(id).content.to_hash).call
        end
      end

      # @return [Core::Sheets::Sheet]
      def to_core
        self.class.parsed(id)
      end
    end
  end
end
