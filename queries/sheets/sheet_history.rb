# frozen_string_literal: true

module UprightBench
  module Queries
    # A sheet's versions, the newest first, and the one to show.
    class SheetHistory
      MOST = 30

      # @param sheet [Models::Sheet]
      # @param version [Object] the number of the version asked for; the newest when it is none
      def initialize(sheet, version)
        @sheet = sheet
        @version = version.to_s
      end

      # @return [Array<Array(Models::SheetVersion, Models::SheetVersion)>] at most MOST, each with the one before it
      #   (nil for the first)
      def versions
        rows.zip(rows.drop(1)).first(MOST)
      end

      # @return [Boolean] whether there are older ones
      def more?
        rows.size > MOST
      end

      # @return [Models::SheetVersion]
      def shown
        rows.find { |version| version.version.to_s == @version } || rows.first
      end

      private

      def rows
        @rows ||= @sheet.versions_dataset.reverse(:version).limit(MOST + 1).eager(:writer).all
      end
    end
  end
end
