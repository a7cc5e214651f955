# frozen_string_literal: true

require_relative "../../core_helper"

class EstimateTest < CoreTest
  def line(cents, kind: :part, **more)
    Money::Line.new(kind: kind, words: "x", price_cents: cents, **more)
  end

  def policy(**fields)
    Money::Policy.new(**fields)
  end

  # Rounding half to even: the worked examples of IEEE 754 and of the usual texts on banker's rounding (from memory).
  def test_halves_go_to_the_even_cent
    { "0.5" => 0, "1.5" => 2, "2.5" => 2, "3.5" => 4, "2.4" => 2, "2.6" => 3, "2.50001" => 3, "23.5" => 24,
      "24.5" => 24 }.each do |exact, cents|
      assert_equal cents, Money::Rounding.half_even(Rational(exact)), exact
    end
  end

  def test_bench_time_goes_up_in_steps_from_the_least
    shop = policy(step_minutes: 15, least_minutes: 30)

    assert_equal([0, 30, 30, 30, 45, 45], [0, 1, 15, 30, 31, 45].map { |minutes| shop.charged_minutes(minutes) })
    assert_equal 4500, shop.labour_cents(45)
    assert_equal 3333, policy(rate_cents_an_hour: 3333).labour_cents(60)
  end

  # 8.25 % of 1.00 three times: 8.25 → 8 a line makes 24; 24.75 on the total makes 25.
  def test_tax_by_the_line_and_on_the_total
    lines = [line(100), line(100), line(100)]

    assert_equal 25, Money::Estimate.new(lines: lines, policy: policy(part_tax_percent: 8.25)).tax_cents
    assert_equal 24, Money::Estimate.new(lines: lines, policy: policy(part_tax_percent: 8.25, rounding: :line))
      .tax_cents
  end

  def test_a_percent_that_no_float_holds
    assert_equal 14_975, Money::Estimate.new(lines: [line(100_000)], policy: policy(part_tax_percent: "14.975"))
      .tax_cents
  end

  def test_each_class_has_its_own_tax
    estimate = Money::Estimate.new(lines: [line(1000, kind: :labour), line(2000)],
      policy: policy(labour_tax_percent: 15, part_tax_percent: 5))

    assert_equal [{ "labour" => 150, "part" => 100 }, 3250], [estimate.taxes, estimate.total_cents]
  end

  def test_what_the_maker_covers_is_shown_and_not_charged
    estimate = Money::Estimate.new(lines: [line(4290, covered: true), line(500)], policy: policy(part_tax_percent: 10))

    assert_equal [500, 50], [estimate.net_cents, estimate.tax_cents]
  end

  def test_lines_that_are_no_money
    [-1, 1.5, nil].each { |cents| assert_raises(ArgumentError) { line(cents) } }
    assert_raises(ArgumentError) { line(1, kind: :gift) }
    assert_raises(ArgumentError) { line(100, off_cents: 101) }
    assert_raises(ArgumentError) { policy(rounding: :up) }
  end

  def work(position, minutes, part: nil, covered: false)
    Money::Quote::Work.new(position: position, place: position, action: part ? "replace" : "clean", minutes: minutes,
      part_id: part && 7,
      part_name: part && "A part", part_cents: part, covered: covered)
  end

  def test_a_quote_counts_all_bench_time_together
    quote = Money::Quote.new(work: [work("bag", 8, part: 1890), work("roll", 9), work("neck", 5)], policy: policy).call

    assert_equal [["Bench time, 30 min", 3000], ["A part", 1890]],
      quote.lines.map { |line| [line.words, line.price_cents] }
    assert_match(/22 min of work \(replace bag, clean roll, clean neck\), in steps of 15/, quote.lines.first.note)
    assert_empty Money::Quote.new(work: [], policy: policy).call.lines
  end

  def test_what_was_the_customers_before_costs_nothing
    quote = Money::Quote.new(work: [work("bag", 8, part: 1890).tap { |one| one.own = "the own spare" }], policy: policy)
      .call

    assert_equal [1500, 0], quote.lines.map(&:price_cents)
    assert_equal "bag: the own spare", quote.lines.last.note
  end

  def test_free_minutes_come_off_the_bench_time_and_no_further
    quote = lambda { |free|
      Money::Quote.new(work: [work("bag", 20, part: 1890)], policy: policy, free_minutes: free,
        free_words: "with the filter").call.lines.first
    }

    assert_equal ["Bench time, 15 min", 1500], [quote.call(15).words, quote.call(15).price_cents]
    assert_match(/15 min free: with the filter/, quote.call(15).note)
    assert_equal 0, quote.call(500).price_cents
  end

  # 12.5 % off 18.90 is 2.3625, off 15.00 is 1.875: 2.36 and, half to even, 1.88.
  def test_a_discount_is_borne_by_every_line
    quote = Money::Quote.new(work: [work("bag", 8, part: 1890)], policy: policy(part_tax_percent: 10),
      off_percent: "12.5", off_words: "regular").call

    assert_equal [188, 236], quote.lines.map(&:off_cents)
    assert_equal [1500 + 1890 - 424, 165], [quote.net_cents, quote.tax_cents]
    assert_match(/12.5 % off: regular/, quote.lines.last.note)
  end

  def test_which_lines_are_parts
    parts = [line(1000, kind: :labour), line(500, kind: :part)]

    assert_equal [parts.last.key], Money::Estimate.new(lines: parts, policy: policy).part_keys
  end

  def test_covered_work_costs_no_bench_time
    quote = Money::Quote.new(work: [work("bag", 8, part: 1890, covered: true)], policy: policy).call

    assert_equal 0, quote.total_cents
  end

  # Whatever the lines and the policy: the lines and the taxes add up to the total, and the two ways of rounding never
  # differ by more than half a cent a line and half a cent more.
  def test_lines_add_up_to_the_total_in_every_rounding
    for_all do |random|
      lines = Array.new(random.rand(0..12)) do
        line(random.rand(500..50_000), off_cents: random.rand(0..500), kind: %i[labour part].sample(random: random),
          covered: random.rand < 0.2)
      end
      taxes = { labour_tax_percent: [0, 5, 8.25, 14.975, 20].sample(random: random),
                part_tax_percent: [0, 7, 15, 19].sample(random: random) }
      total, by_line = %i[total line].map do |rounding|
        Money::Estimate.new(lines: lines, policy: policy(**taxes, rounding: rounding))
      end

      [total, by_line].each { |one| assert_equal lines.sum(&:charged_cents) + one.taxes.values.sum, one.total_cents }
      assert_operator (total.total_cents - by_line.total_cents).abs, :<=, (lines.size + 2) / 2.0
    end
  end
end
