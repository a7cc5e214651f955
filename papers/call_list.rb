# frozen_string_literal: true

module UprightBench
  module Papers
    # Whom to call and what to say, a whole sheet, with room to write what was said.
    class CallList < FlowPaper
      SHEET = :whole
      MARGIN_MM = 16
      COLUMNS = [[0, 260], [265, 110], [380, 130]].freeze # left, width

      # @param rows [Array<Hash>] name, phone, words, phone_calls
      def initialize(shop:, rows:)
        @shop = shop
        @rows = rows
        super()
      end

      private

      def title
        "Whom to call"
      end

      def flow
        words(@shop, size: 9)
        words("Whom to call", size: 18, style: :bold, height: 30)
        words("Nobody waits for a call.", size: 11) if @rows.empty?
        @rows.each { |row| call(row) }
      end

      def call(entry)
        said = entry[:words].split("\n").reject(&:empty?)
        room(ROW * (said.size + 3))
        rule
        tries = "not reached #{entry[:phone_calls]} ×" if entry[:phone_calls].positive?
        row([entry[:name], entry[:phone], tries.to_s], COLUMNS, size: 12,
          style: :bold, height: 20)
        said.each { |text| words(text, size: 9, height: 13) }
        words("Said:", size: 9, height: 26)
      end
    end
  end
end
