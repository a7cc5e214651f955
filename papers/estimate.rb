# frozen_string_literal: true

module UprightBench
  module Papers
    # An estimate for the customer, half a sheet: who it is from and for, what is done, what it costs, the tax by
    # rate, the total, and what was agreed.
    class Estimate < FlowPaper
      SHEET = :half
      MARGIN_MM = 12
      ROW = 15
      NOTE = 78 # a price

      # @param shop [Array<String>] the shop's name, then its address and phone
      # @param number [Integer] the job's
      # @param date [String]
      # @param customer [Array<String>] name and address
      # @param about [Array<String>] machine, serial number, complaint
      # @param estimate [#to_lines, #net_cents, #total_cents, #prices_with_tax?]
      # @param taxes [Hash{String=>Integer}] words, as in "tax on parts, 19 %" => cents
      # @param money [#call] cents to text
      # @param notes [Array<String>] when it is ready, agreement
      def initialize(shop:, number:, date:, customer:, about:, estimate:, taxes:, money:, notes:)
        @shop = shop
        @number = number
        @date = date
        @customer = customer
        @about = about
        @estimate = estimate
        @taxes = taxes.reject { |_, cents| cents.zero? }
        @money = money
        @notes = notes
        super()
      end

      private

      def title
        "Estimate #{@number}"
      end

      def flow
        head
        @about.each { |text| words(text, size: 10) }
        space
        @estimate.to_lines.each { |line| priced(line) }
        totals
        space
        @notes.each { |text| words(text, size: 10) }
      end

      def head
        letterhead(@shop)
        @customer.each { |text| words(text, size: 10) }
        space
        beside("Estimate, job #{@number}", @date, size: 14, style: :bold, height: 22)
      end

      def priced(line)
        beside(line.words, line.covered ? "covered" : @money.call(line.charged_cents), size: 11, style: :bold)
        words(line.note.to_s, size: 8, height: line.note.to_s.length > 90 ? 24 : 16)
      end

      def totals
        rule
        space(4)
        held = @estimate.prices_with_tax?
        on_top unless held
        beside("Total", @money.call(@estimate.total_cents), size: 14, style: :bold, height: 20)
        @taxes.each { |words, cents| beside("Includes #{words}", @money.call(cents), size: 9) } if held
      end

      def on_top
        beside("Without tax", @money.call(@estimate.net_cents)) if @taxes.any?
        @taxes.each { |words, cents| beside(words.sub(/\A./, &:upcase), @money.call(cents)) }
      end
    end
  end
end
