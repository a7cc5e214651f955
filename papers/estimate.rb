# frozen_string_literal: true

module UprightBench
  module Papers
    # An estimate for the customer, A5: what is done, what it costs, the tax, the total, and what was agreed.
    class Estimate < Paper
      SIZE_MM = [148, 210].freeze
      MARGIN_MM = 12
      ROW = 15

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

      def draw
        @y = pdf.bounds.top
        row(@shop, size: 9)
        row("Estimate, job #{@number}", size: 18, style: :bold, height: 26)
        @about.each { |words| row(words, size: 10) }
        space
        lines.each { |one| priced(one) }
        totals
        space
        @notes.each { |words| row(words, size: 10) }
      end

      def lines
        @estimate.respond_to?(:to_lines) ? @estimate.to_lines : @estimate.lines
      end

      def priced(one)
        row(one.words, size: 11, style: :bold, right: one.covered ? "covered" : @money.call(one.charged_cents))
        row(one.note.to_s, size: 8, height: one.note.to_s.length > 90 ? 24 : 16)
      end

      def totals
        pdf.stroke_horizontal_line(0, pdf.bounds.width, at: @y)
        space(4)
        if @estimate.tax_cents.positive?
          row("Without tax", size: 10, right: @money.call(@estimate.net_cents))
          row("Tax", size: 10, right: @money.call(@estimate.tax_cents))
        end
        row("Total", size: 14, style: :bold, height: 20, right: @money.call(@estimate.total_cents))
      end

      # A row of the page; a new page when this one is full.
      def row(words, size:, style: :normal, height: ROW, right: nil)
        next_page if @y < height
        line(words, at: [0, @y], width: pdf.bounds.width - (right ? 80 : 0), size: size, style: style, height: height)
        line(right, at: [pdf.bounds.width - 78, @y], width: 78, size: size, style: style, height: height, align: :right) if right
        @y -= height
      end

      def next_page
        pdf.start_new_page
        @y = pdf.bounds.top
      end

      def space(points = 10)
        @y -= points
      end
    end
  end
end
