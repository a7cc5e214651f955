# frozen_string_literal: true

module UprightBench
  module Services
    # A bill as it is printed: as it was written, and how it was paid.
    class PrintedBill
      # @param bill [Models::Bill]
      def initialize(bill)
        @bill = bill
        @page = Queries::BillOverview.new(bill)
        @policies = Policies.now
        @currency = @policies.currency
      end

      # @param on [Class] Papers::Bill or Papers::BillRoll
      # @return [String] PDF
      def render(on: Papers::Bill)
        shop = @bill.shop.to_hash
        on.new(title: @bill.title, date: day(@bill.issued_on), shop: shop["lines"].to_a,
          tax_number: shop["tax_number"], customer: @bill.billed_to.to_a, about: @bill.about.to_a,
          rows: rows, **sums, notes: notes).render(**PaperLook.of(policies: @policies))
      end

      private

      def day(date)
        Core::Units::Day.words(date)
      end

      def money(cents)
        @currency.words(cents)
      end

      def rows
        @bill.to_lines.map do |line|
          [line.words, line.note, line.covered ? "covered" : signed(line.charged_cents)]
        end
      end

      def sums
        { sums: taxes, total: ["Total", money(@bill.total_cents)], held: @bill.prices_with_tax? }
      end

      # Of a credit note all is taken back.
      def signed(cents)
        money(@bill.credit? ? -cents : cents)
      end

      def taxes
        taxed = @bill.tax_rows.reject { |row| row.tax_cents.zero? }
        return [] if taxed.empty?

        rows = taxed.map { |row| ["Tax #{row.percent} % on #{signed(row.net_cents)}", signed(row.tax_cents)] }
        return rows.map { |words, amount| ["Includes #{words.downcase}", amount] } if @bill.prices_with_tax?

        [["Without tax", money(@bill.net_cents)], *rows]
      end

      def notes
        return ["Takes back bill #{@bill.credited.number}: #{@bill.reason}"] if @bill.credit?

        [*@page.payments.map { |payment| paid(payment) }, taken_back || open].compact
      end

      def paid(payment)
        verb = payment.cents.positive? ? "Paid" : "Given back"
        "#{verb} #{day(payment.paid_on)}, #{Core::Money::Ways::WORDS.fetch(payment.way)}: " \
          "#{money(payment.counted_cents.abs)}"
      end

      def taken_back
        "Taken back by credit note #{@bill.credit.number}." if @bill.credit
      end

      def open
        @page.owed_cents.positive? ? "To pay: #{money(@page.owed_cents)}" : "Paid. Thank you."
      end
    end
  end
end
