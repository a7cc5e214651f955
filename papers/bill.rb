# frozen_string_literal: true

module UprightBench
  module Papers
    # A bill or a credit note, half a sheet: who it is from and for, number and date, what was done, the tax by rate,
    # the total, and what was paid.
    class Bill < FlowPaper
      SHEET = :half
      MARGIN_MM = 12
      ROW = 15
      NOTE = 78 # a price

      # @param title [String] as in "Bill 12"
      # @param date [String]
      # @param shop [Array<String>] the shop's name, then its address and phone
      # @param tax_number [String, nil]
      # @param customer [Array<String>] name and address; none at the counter
      # @param about [Array<String>] machine, serial number, job
      # @param rows [Array<Array(String, String, String)>] what, a note or nil, what it costs
      # @param sums [Array<Array(String, String)>] net and tax by rate: words and amounts
      # @param total [Array(String, String)]
      # @param held [Boolean] the total holds its tax, which is said below it
      # @param notes [Array<String>] what it takes back, how it was paid
      def initialize(title:, date:, shop:, tax_number:, customer:, about:, rows:, sums:, total:, held:, notes:)
        @title = title
        @date = date
        @shop = shop
        @tax_number = tax_number
        @customer = customer
        @about = about
        @rows = rows
        @sums = sums
        @total = total
        @held = held
        @notes = notes
        super()
      end

      private

      attr_reader :title

      def flow
        letterhead(@shop)
        words("Tax number #{@tax_number}", size: 9) if @tax_number
        @customer.each { |text| words(text, size: 10) }
        space
        beside(@title, @date, size: 14, style: :bold, height: 22)
        @about.each { |text| words(text, size: 10) }
        space
        @rows.each { |what, note, costs| priced(what, note, costs) }
        totals
        space
        @notes.each { |text| words(text, size: 10) }
      end

      def priced(what, note, costs)
        beside(what, costs, size: 11, style: :bold)
        words(note, size: 8, height: note.length > 90 ? 24 : 16) if note
      end

      def totals
        rule
        space(4)
        taxes unless @held
        beside(*@total, size: 14, style: :bold, height: 20)
        taxes if @held
      end

      def taxes
        @sums.each { |words, amount| beside(words, amount) }
      end
    end
  end
end
