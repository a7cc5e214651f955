# frozen_string_literal: true

module UprightBench
  module Services
    # What falls due for a customer within a year, on one paper.
    class PrintedDues < Printed
      ROWS_A_PAGE = 40 # or fewer, where months begin

      # @param customer [Integer] id
      def initialize(customer:)
        super()
        @customer = Lookup.one(:customer, customer)
      end

      def name
        "due"
      end

      # As near as it can be told before it is laid out.
      def pages
        [(rows.size / ROWS_A_PAGE.to_f).ceil, 1].max
      end

      def parts
        1
      end

      def paper(_part)
        Papers::DueList.new(shop: shop_line, customer: title, until_on: today >> 12, rows: rows)
      end

      private

      def title
        @customer.name
      end

      def rows
        @rows ||= YearAhead.call(@customer, today: today).map(&:to_h)
      end
    end
  end
end
