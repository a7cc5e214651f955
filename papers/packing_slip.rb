# frozen_string_literal: true

module UprightBench
  module Papers
    # What lies in a parcel, half a sheet, with the address large enough to be cut out for the box.
    class PackingSlip < FlowPaper
      SHEET = :half
      MARGIN_MM = 12
      ROW = 15
      NOTE = 90

      # @param shop [Array<String>] the shop's name, then its address and phone
      # @param address [Array<String>] whom it goes to
      # @param title [String] as in "Parcel for bill 12"
      # @param date [String]
      # @param lines [Array<Array(String, String)>] what, and its number
      # @param notes [Array<String>] where it is put in
      def initialize(shop:, address:, title:, date:, lines:, notes:)
        @shop = shop
        @address = address
        @title = title
        @date = date
        @lines = lines
        @notes = notes
        super()
      end

      private

      attr_reader :title

      def flow
        words("From: #{@shop.join(', ')}", size: 8)
        space(6)
        @address.each { |text| words(text, size: 16, height: 22) }
        space
        rule
        space
        beside(@title, @date, size: 13, style: :bold, height: 22)
        @lines.each { |row| beside(*row) }
        space
        @notes.each { |text| words(text, size: 10) }
      end
    end
  end
end
