# frozen_string_literal: true

require_relative "../../core_helper"

# What stands on a bill adds up, to the cent, whatever was done and however it is taxed.
class BillTest < CoreTest
  SCHEMES = [[0, 0], [19, 19], [5, "14.975"], [20, 0], ["8.25", "8.25"], [0, 7]].freeze

  BOOKS = Money::TaxClass.new(key: "books", name: "Handbooks", percent: "5.5")

  def policy(labour, part, rounding, prices = :without_tax)
    Money::Policy.new(labour_tax_percent: labour, part_tax_percent: part, rounding: rounding, prices: prices,
      classes: [BOOKS])
  end

  def work(random, index)
    part = random.rand < 0.6
    Money::Quote::Work.new(position: "p#{index}", place: "place #{index}", action: part ? "replace" : "clean",
      minutes: random.rand(1..60), part_id: (index if part), part_name: ("Part #{index}" if part),
      part_cents: (random.rand(1..99_999) if part), covered: random.rand < 0.1,
      tax_class: ("books" if part && random.rand < 0.2))
  end

  def estimate(random)
    labour, part = SCHEMES.sample(random: random)
    Money::Quote.new(work: Array.new(random.rand(0..7)) { |index| work(random, index) }, look_cents: [0, 0, 2500]
      .sample(random: random), off_percent: [0, 0, 10, "12.5"].sample(random: random), off_words: "x",
      policy: policy(labour, part, %i[total line].sample(random: random),
        Money::Policy::PRICES.sample(random: random))).call
  end

  BILLS = Integer(ENV.fetch("BILLS", "1000"))

  def test_bills_are_the_sum_of_what_stands_on_them
    random = Random.new(16)
    BILLS.times do |index|
      bill = estimate(random)
      rows = bill.tax_rows
      held = bill.policy.with_tax?
      printed = bill.lines.sum(&:charged_cents) + (held ? 0 : rows.sum(&:tax_cents))

      assert_equal held && bill.tax_cents.positive?, bill.prices_with_tax?
      assert_equal [bill.total_cents, bill.net_cents, bill.tax_cents],
        [printed, rows.sum(&:net_cents), rows.sum(&:tax_cents)], "job #{index}"
      assert_equal rows.map(&:percent).uniq, rows.map(&:percent)
      assert_printed_sums_add_up(bill, Money::Currency::ALL.values.sample(random: random))
    end
  end

  # As somebody would who adds up the paper, whatever the decimals of the currency.
  def assert_printed_sums_add_up(bill, currency)
    printed = ->(cents) { Rational(currency.plain(cents)) }
    tax = bill.policy.with_tax? ? 0 : bill.tax_rows.sum { |row| printed.call(row.tax_cents) }

    assert_equal printed.call(bill.total_cents), bill.lines.sum { |line| printed.call(line.charged_cents) } + tax
  end

  # Tax of each rate by itself, as an invoice must show it (EN 16931, BT-116 to BT-119: taxable amount, tax amount and
  # rate of each category; the names from memory).
  def test_the_tax_of_each_rate
    lines = [Money::Line.new(kind: :labour, words: "time", price_cents: 4500),
             Money::Line.new(kind: :part, words: "filter", price_cents: 1000)]
    rows = Money::Estimate.new(lines: lines, policy: policy("7", "19.0", :total)).tax_rows

    assert_equal [["19", 1000, 190], ["7", 4500, 315]], rows.map { |row| row.to_h.values }
    same = Money::Estimate.new(lines: lines, policy: policy(10, "10.0", :total)).tax_rows

    assert_equal [["10", 5500, 550]], same.map { |row| row.to_h.values }
  end

  # To five cents, as where the smallest coin is five (Canada since 2013, from memory: 1 and 2 go down, 3 and 4 up to
  # five, 6 and 7 down to five, 8 and 9 up).
  def test_cash_is_rounded_to_the_smallest_coin
    assert_equal [0, 0, 0, 5, 5, 5, 5, 5, 10, 10, 10], (0..10).map { |cents| Money::Cash.rounded(cents, 5) }
    assert_equal [-5, 1234, 10, 20], [Money::Cash.rounded(-6, 5), Money::Cash.rounded(1234, 1),
                                      Money::Cash.rounded(15, 10), Money::Cash.rounded(16, 10)]
  end

  def test_what_is_taken_back_is_written_with_a_minus
    assert_equal ["$16.50", "-$12.05", "-$0.05", "$0.00"], [1650, -1205, -5, 0].map { |cents| Money::Currency.of("USD").words(cents) }
  end

  # As the gem money writes them; each currency is held against it in test/formats/currencies_test.rb.
  def test_a_sum_in_other_money
    words = { "EUR" => "€16,50", "SEK" => "16,50 kr", "CHF" => "CHF 16.50", "GBP" => "£16.50" }

    words.each { |code, text| assert_equal text, Money::Currency.of(code).words(1650) }
  end

  def test_which_parts_are_on_it_and_what_one_costs_with_tax
    lines = [Money::Line.new(kind: :labour, words: "time", price_cents: 1, key: "no part"),
             Money::Line.new(kind: :part, words: "filter", price_cents: 1000, key: "filter/7")]

    assert_equal ["filter/7"], Money::Estimate.new(lines: lines, policy: policy(0, 0, :total)).part_keys
    assert_equal [1190, 1055], [policy(0, 19, :total).with_tax(1000), policy(0, 19, :total).with_tax(1000, "books")]
    assert_equal 1000, policy(0, 19, :total, :with_tax).with_tax(1000)
  end

  # What is in a price: 19/119 of it, 5.5/105.5 (arithmetic). A class that the shop no longer has is taxed as parts.
  def test_prices_that_hold_their_tax
    lines = [Money::Line.new(kind: :labour, words: "time", price_cents: 4500),
             Money::Line.new(kind: :part, words: "filter", price_cents: 11_900),
             Money::Line.new(kind: :part, words: "handbook", price_cents: 2110, tax_class: "books"),
             Money::Line.new(kind: :part, words: "lamp", price_cents: 119, tax_class: "gone")]
    bill = Money::Estimate.new(lines: lines, policy: policy(0, 19, :total, :with_tax))

    assert_equal [18_629, 18_629 - 2029, 1900 + 110 + 19], [bill.total_cents, bill.net_cents, bill.tax_cents]
    assert_equal [["19", 10_100, 1919], ["5.5", 2000, 110], ["0", 4500, 0]], bill.tax_rows.map { |row| row.to_h.values }
  end

  def test_how_long_it_has_been_open
    assert_equal [30, 30, 60, 90, nil], [0, 30, 31, 90, 91].map { |days| Money::Age.step(days) }
  end
end
