# frozen_string_literal: true

require_relative "../test_helper"

# A bill as EN 16931 has it, against the schema of Factur-X 1.07.2 that the gem carries.
class EBillTest < AppTest
  # A bill as it is kept.
  class Kept
    include UprightBench::Core::Money::Priced

    attr_reader :number, :issued_on, :to_lines, :tax_rows, :parties, :net_cents, :tax_cents, :total_cents

    def initialize(estimate, credit: false, parties: {})
      sign = credit ? -1 : 1
      @estimate = estimate
      @credit = credit
      @number = 12
      @issued_on = Date.new(2026, 11, 27)
      @to_lines = estimate.lines
      @tax_rows = estimate.tax_rows
      @parties = parties
      @net_cents, @tax_cents, @total_cents = %i[net_cents tax_cents total_cents]
        .map { |sum| sign * estimate.public_send(sum) }
    end

    def credit?
      @credit
    end

    def percent_of(line)
      @estimate.policy.percent(line.taxed_as)
    end
  end

  EURO = Core::Money::Currency.of("EUR")
  PARTIES = { "seller" => { "name" => "Ropewalk", "street" => "Ferry Slip 3", "town" => "Pell Harbor",
                            "postcode" => "B0X 0A1", "country" => "CA", "tax_number" => "555 RT" },
              "buyer" => { "name" => "Edda & Söhne <KG>", "street" => "Kai 4", "town" => "Lorn", "postcode" => "12345",
                           "country" => "DE" } }.freeze

  def estimate(labour, part, prices = :without_tax, cents = [4500, 1990, 333])
    kinds = %i[labour part part]
    lines = cents.zip(kinds).map do |net, kind|
      Core::Money::Line.new(kind: kind, words: "#{kind} & more", price_cents: net)
    end
    Core::Money::Estimate.new(lines: lines,
      policy: Core::Money::Policy.new(labour_tax_percent: labour, part_tax_percent: part, prices: prices))
  end

  def xml(kept)
    Formats::EBill.new(kept, currency: EURO).to_xml
  end

  # @return [Array<Rational>] without tax, tax, total, and what the lines come to
  def sums(document)
    document.remove_namespaces!
    names = %w[TaxBasisTotalAmount TaxTotalAmount GrandTotalAmount]
    lines = document.xpath("//SpecifiedLineTradeSettlement//LineTotalAmount").sum { |line| line.text.to_r }
    [*names.map { |name| document.at_xpath("//#{name}").text.to_r }, lines].map { |sum| sum * 100 }
  end

  def test_each_tax_scheme_is_valid_and_says_the_same_sums
    schemes = [[0, 0], [19, 19], ["7", "19"], ["8.25", "8.25"]]
    schemes.product([false, true], Core::Money::Policy::PRICES) do |scheme|
      rates, credit, prices = scheme
      kept = Kept.new(estimate(*rates, prices), credit: credit, parties: PARTIES)
      made = xml(kept)

      assert_empty Secretariat::Validator.new(made, version: 2).validate_against_schema.map(&:message), scheme.inspect
      assert_equal [kept.net_cents, kept.tax_cents, kept.total_cents, kept.net_cents], sums(Nokogiri::XML(made)),
        scheme.inspect
    end
  end

  def test_names_are_written_as_they_are
    assert_includes xml(Kept.new(estimate(19, 19), parties: PARTIES)), "Edda &amp; Söhne &lt;KG&gt;"
  end

  def test_what_is_lacking_is_named
    kept = Kept.new(estimate(0, 0), parties: PARTIES.merge("buyer" => { "name" => "x", "street" => "y" }))

    assert_equal ["town of the buyer", "postcode of the buyer", "country of the buyer"],
      Formats::EBill.new(kept, currency: EURO).lacking
  end

  def test_thousandths_have_no_e_bill
    dinar = Core::Money::Currency.of("KWD")

    assert_equal ["a currency of at most 2 decimals"],
      Formats::EBill.new(Kept.new(estimate(0, 0), parties: PARTIES), currency: dinar).lacking
  end
end
