# frozen_string_literal: true

require "csv"

module UprightBench
  module Formats
    # Bills and payments for the books, as CSV (RFC 4180): one line for each rate of a bill, one for each payment. Sums
    # have a dot and the places of their currency; what is taken back or given back is negative.
    class Books
      BILLS = %w[number kind date customer job reason rate net tax total].freeze
      PAYMENTS = %w[date way amount rounding bill job note].freeze

      # @param currency [Core::Money::Currency]
      def initialize(currency)
        @currency = currency
      end

      # @param bills [Array<Models::Bill>] with customer and job
      # @return [String]
      def bills(bills)
        table(BILLS, bills.flat_map { |bill| rates(bill) })
      end

      # @param payments [Array<Models::Payment>] with bill and job
      # @return [String]
      def payments(payments)
        table(PAYMENTS, payments.map do |payment|
          [payment.paid_on.iso8601, payment.way, sum(payment.cents), sum(payment.rounded_cents), payment.bill&.number,
           payment.job&.number, Cell.safe(payment.note)]
        end)
      end

      private

      def rates(bill) # rubocop:disable Metrics/AbcSize -- one table
        sign = bill.credit? ? -1 : 1
        bill.tax_rows.map do |row|
          [bill.number, bill.kind, bill.issued_on.iso8601, Cell.safe(bill.billed_to.to_a.first),
           bill.job&.number, Cell.safe(bill.reason), row.percent, *sums(row).map { |cents| sum(sign * cents) }]
        end
      end

      def sums(row)
        [row.net_cents, row.tax_cents, row.net_cents + row.tax_cents]
      end

      def table(columns, rows)
        CSV.generate(row_sep: "\r\n") do |out|
          out << columns
          rows.each { |row| out << row }
        end
      end

      def sum(cents)
        @currency.plain(cents)
      end
    end
  end
end
