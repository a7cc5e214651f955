# frozen_string_literal: true

require_relative "../../core_helper"

class PolicyTableTest < CoreTest
  # The values that the rules are given are those of the table, whatever is left out.
  def test_what_is_not_decided_is_the_default
    nothing = Policies::InForce.new

    assert_equal [Findings::Policy.new, Money::Policy.new, Cards::Policy.new],
      [nothing.findings, nothing.money, nothing.cards]
    assert_equal Use::Household::FACTORS, nothing.household_factors
    assert_in_delta Policies::Table.default("promises_kept_percent") / 100.0, Bench::Chain::SHARE
  end

  def test_every_rule_stands_in_a_group_and_its_default_in_its_range
    assert_equal Policies::Table::GROUPS.map(&:key).sort, Policies::Table::ALL.map(&:group).uniq.sort
    Policies::Table.numbers.reject(&:optional?).each { |rule| assert_includes rule.range, rule.default, rule.key }
    assert_equal Policies::Table::ALL.size, Policies::Table::BY_KEY.size
  end

  # What a shop may choose, and what it starts with; common practice or house rules, as the table says.
  RULES = {
    "bag_limit_percent" => [10..100, 50], "bin_limit_percent" => [10..100, 66], "washes_in_a_life" => [1..100, 12],
    "battery_limit_percent" => [10..95, 60], "gauge_error_percent" => [0.5..20, 2.0],
    "least_restored_percent" => [0..100, 85], "air_pressure_kpa" => [60..110, nil],
    "drying_hours" => [1..96, 24], "drying_temperature_c" => [-20..50, nil],
    "drying_humidity_percent" => [0..100, nil], "promises_kept_percent" => [50..99, 90],
    "part_promises_kept_percent" => [50..99, 90], "minutes_for_one_more" => [0..240, 60],
    "bench_seats" => [1..50, nil],
    "wet_benches" => [1..20, nil], "stay_on_an_hour" => [0..1_000_000, nil],
    "fetch_again_days" => [1..90, 14], "most_fetch_reminders" => [0..10, 3],
    "pets_percent" => [40..100, 75], "dust_percent" => [40..100, 70], "long_hair_percent" => [40..100, 90],
    "daily_percent" => [40..100, 80], "smoker_percent" => [40..100, 85], "email_lead_days" => [0..90, 10],
    "text_lead_days" => [0..90, 10], "post_lead_days" => [0..90, 21], "phone_lead_days" => [0..90, 7],
    "bundle_days" => [0..180, 45], "follow_up_gap_days" => [7..365, 30], "quiet_days" => [0..365, 60],
    "most_follow_ups" => [0..5, 2], "write_again_days" => [90..1095, 365],
    "labour_an_hour" => [0..1_000_000, 60], "labour_step_minutes" => [1..120, 15],
    "least_labour_minutes" => [0..240, 15], "labour_tax_percent" => [0..50, 0], "part_tax_percent" => [0..50, 0],
    "look_fee" => [0..1_000_000, 0],
    "discount_limit_percent" => [0..100, 20], "smallest_coin_cents" => [1..1000, 1],
    "guarantee_days" => [0..1095, 90], "take_back_hours" => [0..168, 24], "estimate_valid_days" => [1..365, 14],
    "review_days" => [1..90, 7], "parcel_fitted_days" => [1..90, 10],
    "service_level_percent" => [50..99.9, 95], "bills_kept_years" => [1..30, 10],
    "kept_years" => [1..50, 10]
  }.freeze

  def test_what_a_shop_may_choose_and_what_it_starts_with
    assert_equal RULES.keys, Policies::Table.numbers.map(&:key)
    Policies::Table.numbers.each do |rule|
      range, default = RULES.fetch(rule.key)

      assert_equal [range.begin, range.end], [rule.range.begin, rule.range.end], rule.key
      default.nil? ? assert_nil(rule.default, rule.key) : assert_equal(default, rule.default, rule.key)
    end

    assert_in_delta 0.95, Policies::InForce.new.service_level
  end

  def test_the_unit_stands_above_a_field_unless_its_label_says_it
    number = Policies::Number.new(key: "k", group: :money, label: "Washes in a filter's life", unit: "washes",
      range: 1..9)

    assert_equal "Washes in a filter's life", number.heading
    assert_equal "Bags, %", number.with(label: "Bags", unit: "%").heading
    assert_equal ["$5", "5 %"],
      [number.with(unit: Policies::Number::MONEY).words(5.0, "$"), number.with(unit: "%").words(5)]
  end

  # Common practice: a household's machine is serviced once a year.
  def test_a_year_between_two_services
    assert_equal 365, Findings::Policy.new.service_interval_days
  end

  # Shares and readings have decimals; what is counted has none.
  def test_which_rules_have_decimals
    assert_equal %w[gauge_error_percent air_pressure_kpa drying_temperature_c drying_humidity_percent labour_tax_percent
                    part_tax_percent service_level_percent], Policies::Table.numbers.reject(&:whole).map(&:key)
  end

  def test_what_the_owner_decided_wins
    rules = Policies::InForce.new("bag_limit_percent" => 40, "pets_percent" => 60, "post_lead_days" => 5,
      "seal_care" => "silicone")

    assert_equal [40, :silicone, 5, 0.6], [
      rules.findings.bag_limit_percent, rules.findings.seal_care, rules.cards.lead_days(:post),
      rules.household_factors[:pets]
    ]
    assert rules.changed?("bag_limit_percent")
    refute rules.changed?("bin_limit_percent")
    assert_equal ["50 %", "$60"], [Policies::Table.fetch("bag_limit_percent").words(50),
                                   Policies::Table.fetch("labour_an_hour").words(60, "$")]
  end

  def test_the_air_is_known_when_both_were_read
    assert_nil Policies::InForce.new("drying_temperature_c" => 20).drying_air
    assert_equal Drying::Air.new(temperature_c: 20, humidity_percent: 50),
      Policies::InForce.new("drying_temperature_c" => 20, "drying_humidity_percent" => 50).drying_air
  end

  def test_a_closed_day_comes_once_or_every_year
    leap = Policies::ClosedDay.new(on: Date.new(2024, 2, 29), name: "Leap day", yearly: true)
    once = Policies::ClosedDay.stored({ "on" => "2026-12-24" })

    assert_equal [true, true, false], [[2024, 2, 29], [2026, 2, 28], [2024, 2, 28]]
      .map { |day| leap.closes?(Date.new(*day)) }
    assert_equal [true, false], [2026, 2027].map { |year| once.closes?(Date.new(year, 12, 24)) }
    assert_equal leap, Policies::ClosedDay.stored(leap.to_stored)
    refute Policies::ClosedDay.new(on: Date.new(2026, 12, 24)).closes?(Date.new(2027, 12, 24))
  end
end
