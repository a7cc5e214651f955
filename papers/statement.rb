# frozen_string_literal: true

module UprightBench
  module Papers
    # What a customer owes, bill by bill, a whole sheet: for a fleet's month on account.
    class Statement < FlowPaper
      SHEET = :whole
      MARGIN_MM = 18
      NOTE = 90 # a sum

      # @param shop [Array<String>] the shop's name, then its address and phone
      # @param date [String]
      # @param customer [Array<String>] name and address
      # @param rows [Array<Array(String, String)>] bill with date and what it is about, and what is open of it
      # @param total [String]
      def initialize(shop:, date:, customer:, rows:, total:)
        @shop = shop
        @date = date
        @customer = customer
        @rows = rows
        @total = total
        super()
      end

      private

      def title
        "Statement"
      end

      def flow
        letterhead(@shop)
        @customer.each { |text| words(text, size: 10) }
        space
        beside("Statement of open bills", @date, size: 14, style: :bold, height: 22)
        @rows.each { |row| beside(*row) }
        rule
        space(4)
        beside("To pay", @total, size: 14, style: :bold, height: 20)
      end
    end
  end
end
