# frozen_string_literal: true

module UprightBench
  module Models
    # One version of a sheet. It never changes, so its parsed form is kept for the life of the process and
    # its content is read once.
    class SheetVersion < Sequel::Model(:sheet_versions)
      many_to_one :sheet
      many_to_one :writer, class: "UprightBench::Models::Person", key: :created_by
      @parsed = {} # id => Core::Sheets::Sheet; two threads may parse the same one, which is harmless

      class << self
        # @param id [Integer]
        # @return [Core::Sheets::Sheet]
        def parsed(id)
          @parsed[id] ||= with_pk!(id).parse
        end

        # Reads those that were not read yet in one go.
        # @param ids [Array<Integer>]
        def preload(ids)
          unread = ids.uniq.reject { |id| @parsed.key?(id) }
          return unless unread.any?

          where(id: unread).each do |version|
            @parsed[version.id] ||= version.parse
          end
        end
      end

      # @return [Hash{String=>Object}] its content, in the format of today
      def data
        Core::Sheets::Upgrade.call(content.to_hash)
      end

      # @return [Core::Sheets::Sheet]
      def parse
        Core::Sheets::Parse.new(data).call
      end

      # @return [Core::Sheets::Sheet]
      def to_core
        self.class.parsed(id)
      end
    end
  end
end
