# frozen_string_literal: true

require "csv"

module UprightBench
  module Formats
    # An order to a supplier as CSV (RFC 4180): number, name, maker, barcode, pieces, packs, cost each and together,
    # with the decimals of the currency.
    class OrderList
      COLUMNS = %w[number name maker barcode pieces packs cost cost_together].freeze

      # @param rows [Array<Hash>] number, name, maker, barcode, pieces, packs (Rational), cost_cents (or nil)
      # @param currency [Core::Money::Currency]
      def initialize(rows, currency: PartList::USUAL)
        @rows = rows
        @currency = currency
      end

      # @return [String] UTF-8, lines ended as the standard has it
      def call
        CSV.generate(row_sep: "\r\n") do |out|
          out << COLUMNS
          @rows.each do |row|
            out << [*row.values_at(:number, :name, :maker, :barcode, :pieces), packs(row[:packs]),
                    cost(row[:cost_cents]),
                    cost(row[:cost_cents]&.*(row[:pieces]))].map do |cell|
              Cell.safe(cell)
            end
          end
        end
      end

      private

      def packs(packs)
        packs.denominator == 1 ? packs.to_i : packs.to_f.round(2)
      end

      def cost(cents)
        cents && @currency.plain(cents)
      end
    end
  end
end
