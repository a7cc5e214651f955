# frozen_string_literal: true

module UprightBench
  module Papers
    # An estimate for the customer, A5: what is done, what it costs, the tax, the total, and what was agreed.
    class Estimate < FlowPaper
      SIZE_MM = [148, 210].freeze
      MARGIN_MM = 12
      ROW = 15
      PRICE = 78 # points wide

      # @param number [Integer] the job's
      # @param about [Array<String>] machine, customer, complaint
      # @param estimate [#to_lines, #lines, #net_cents, #tax_cents, #total_cents]
      # @param money [#call] cents to text
      # @param notes [Array<String>] promise, agreement
      def initialize(shop:, number:, about:, estimate:, money:, notes:)
        @shop = shop
        @number = number
        @about = about
        @estimate = estimate
        @money = money
        @notes = notes
        super()
      end

      private

      def title
        "Estimate #{@number}"
      end

      def flow
        words(@shop, size: 9)
        words("Estimate, job #{@number}", size: 18, style: :bold, height: 26)
        @about.each { |text| words(text, size: 10) }
        space
        lines.each { |one| priced(one) }
        totals
        space
        @notes.each { |text| words(text, size: 10) }
      end

      def lines
        @estimate.respond_to?(:to_lines) ? @estimate.to_lines : @estimate.lines
      end

      def priced(one)
        beside(one.words, one.covered ? "covered" : @money.call(one.charged_cents), size: 11, style: :bold)
        words(one.note.to_s, size: 8, height: one.note.to_s.length > 90 ? 24 : 16)
      end

      def totals
        rule
        space(4)
        if @estimate.tax_cents.positive?
          beside("Without tax", @money.call(@estimate.net_cents))
          beside("Tax", @money.call(@estimate.tax_cents))
        end
        beside("Total", @money.call(@estimate.total_cents), size: 14, style: :bold, height: 20)
      end

      # What it is, and the sum at the right edge.
      def beside(text, sum, **looks)
        width = pdf.bounds.width
        row([text, sum], [[0, width - PRICE - 2], [width - PRICE, PRICE, :right]], **looks)
      end
    end
  end
end
