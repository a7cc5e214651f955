# frozen_string_literal: true

module UprightBench
  module Queries
    # Files of customers that came in: the newest, and how the first rows of one will be read.
    module CustomerImports
      MOST = 20
      SAMPLE = 8

      # What a row will be, beside the line it stands on.
      Sample = Struct.new(:line, :read, keyword_init: true)

      module_function

      # @return [Array<Models::CustomerImport>]
      def newest
        Models::CustomerImport.reverse(:id).limit(MOST).eager(:giver).all
      end

      # @return [Array<Hash>] line and cells of the first rows, as they stand in the file
      def first_rows(import)
        import.import_rows.order(:line).limit(SAMPLE).all
      end

      # @return [Array<Sample>] the first rows that can be taken over
      def sample(import, today:)
        return [] unless import.state == "checked"

        reader = Services::CheckCustomerList.reader(import, today)
        import.waiting.order(:line).limit(SAMPLE).all.map do |row|
          Sample.new(line: row[:line], read: reader.read(import.by_column(row[:cells])))
        end
      end
    end
  end
end
