# frozen_string_literal: true

require "secretariat"

module UprightBench
  module Formats
    # A bill or credit note as an electronic invoice: EN 16931 in the CII syntax, as Factur-X has it (gem secretariat).
    # Every line is one piece at what it costs; of a credit note the pieces are taken back.
    class EBill
      VERSION = 2 # Factur-X; 1 is what came before it
      MOST_DIGITS = 2 # of a sum in EN 16931 (BR-DEC rules, from memory)
      NEEDED = %w[street town postcode country].freeze

      # @param bill [#number, #issued_on, #to_lines, #tax_rows, #credit?, #parties, sums in cents]
      # @param currency [Core::Money::Currency]
      def initialize(bill, currency:)
        @bill = bill
        @currency = currency
        @parties = bill.parties.to_hash
      end

      # @return [Array<String>] what the standard needs and nobody has written down
      def lacking
        found = %w[seller buyer].flat_map do |party|
          fields = @parties.fetch(party, nil).to_h
          NEEDED.select { |name| fields[name].to_s == "" }.map { |name| "#{name} of the #{party}" }
        end
        @currency.digits > MOST_DIGITS ? [*found, "a currency of at most #{MOST_DIGITS} decimals"] : found
      end

      # @return [String] XML
      def to_xml
        invoice.to_xml(version: VERSION, validate: false)
      end

      private

      def invoice
        Secretariat::Invoice.new(id: @bill.number.to_s, issue_date: @bill.issued_on, seller: party("seller"),
          buyer: party("buyer"), ship_to: false, line_items: items, currency_code: @currency.code,
          payment_type: :NOTSPECIFIED, payment_text: "", tax_category: category(@bill.tax_cents),
          tax_amount: sum(@bill.tax_cents), basis_amount: sum(@bill.net_cents),
          grand_total_amount: sum(@bill.total_cents), due_amount: sum(@bill.total_cents), paid_amount: sum(0))
      end

      def party(name)
        fields = @parties.fetch(name, {}).to_h
        Secretariat::TradeParty.new(name: fields["name"], street1: fields["street"], city: fields["town"],
          postal_code: fields["postcode"], country_id: fields["country"], vat_id: fields["tax_number"])
      end

      def items
        charged = @bill.to_lines.reject { |line| line.charged_cents.zero? }
        charged.group_by { |line| @bill.percent_of(line) }.flat_map { |percent, lines| taxed(percent, lines) }
      end

      # Tax and net of a rate are those of the bill; what its lines alone would not make up is borne by the last of
      # them.
      def taxed(percent, lines)
        row = @bill.tax_rows.find { |one| one.percent == percent }
        parted = lines[..-2].map { |line| net_and_tax(line.charged_cents, Rational(percent) / 100) }
        lines.zip([*parted, rest(row, parted)]).map { |line, (net, tax)| item(line, percent, net, tax) }
      end

      def rest(row, parted)
        [row.net_cents, row.tax_cents].zip(*parted).map { |all, *taken| all - taken.sum }
      end

      def net_and_tax(cents, share)
        held = @bill.prices_with_tax?
        tax = Core::Money::Rounding.half_even(held ? cents * share / (1 + share) : cents * share)
        [held ? cents - tax : cents, tax]
      end

      def item(line, percent, net_cents, tax_cents)
        price = sum(net_cents)
        Secretariat::LineItem.new(name: line.words, billed_quantity: @bill.credit? ? -1 : 1, unit: :PIECE,
          gross_amount: price, net_amount: price, charge_amount: price, currency_code: @currency.code,
          tax_category: category(tax_cents), tax_percent: BigDecimal(percent),
          tax_amount: sum(@bill.credit? ? -tax_cents : tax_cents))
      end

      def category(tax_cents)
        tax_cents.zero? ? :ZEROTAXPRODUCTS : :STANDARDRATE
      end

      def sum(cents)
        BigDecimal(cents) / @currency.units
      end
    end
  end
end
