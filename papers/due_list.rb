# frozen_string_literal: true

module UprightBench
  module Papers
    # Everything of one customer that falls due within a time, a whole sheet, by month: for whoever plans the visits
    # of many machines.
    class DueList < FlowPaper
      SHEET = :whole
      MARGIN_MM = 16
      COLUMNS = [[0, 75], [80, 190], [275, 235]].freeze # left, width

      # @param rows [Array<Hash>] date, machine, what (Array<String>), overdue (Boolean); soonest first
      def initialize(shop:, customer:, until_on:, rows:)
        @shop = shop
        @customer = customer
        @until_on = until_on
        @rows = rows
        super()
      end

      private

      def title
        "What falls due, #{@customer}"
      end

      def flow
        words(@shop, size: 9)
        words("#{@customer}: what falls due until #{@until_on.strftime('%B %Y')}", size: 18, style: :bold, height: 30)
        words("Nothing falls due until then.", size: 11) if @rows.empty?
        @rows.group_by { |row| row[:overdue] ? "Overdue" : row[:date].strftime("%B %Y") }
          .each { |month, rows| month(month, rows) }
      end

      def month(name, rows)
        room(ROW * 4)
        space(8)
        words(name, size: 12, style: :bold, height: 18)
        rows.each { |due| row([Core::Units::Day.words(due[:date]), due[:machine], due[:what].join(", ")], COLUMNS) }
      end
    end
  end
end
