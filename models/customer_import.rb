# frozen_string_literal: true

module UprightBench
  module Models
    # A file of customers and their machines on its way in: kept, parted into rows, its columns said, looked through,
    # and written.
    class CustomerImport < Sequel::Model(:customer_imports)
      UNDER_WAY = %w[kept checking writing].freeze
      ENDED = %w[bad cancelled written].freeze

      many_to_one :giver, class: "UprightBench::Models::Person", key: :given_by

      # Somebody has to wait: the worker is at it.
      def under_way?
        UNDER_WAY.include?(state)
      end

      def ended?
        ENDED.include?(state)
      end

      # @return [String] the file as it came
      def content
        pieces.order(:sequence).select_map(:bytes).join
      end

      # @return [Sequel::Dataset] with each a line and cells
      def waiting
        import_rows.where(reason: nil)
      end

      # @return [Sequel::Dataset] with each a line, cells and a reason
      def left_out
        import_rows.exclude(reason: nil)
      end

      def pieces
        db[:customer_import_pieces].where(customer_import_id: id)
      end

      def import_rows
        db[:customer_import_rows].where(customer_import_id: id)
      end

      # @param cells [Array<String>] in the order of the headers
      # @return [Hash{String=>String}] our column => cell, without empty ones and those left aside
      def by_column(cells)
        meanings.zip(cells).reject { |ours, cell| ours.to_s.empty? || cell.to_s.empty? }.to_h
      end
    end
  end
end
