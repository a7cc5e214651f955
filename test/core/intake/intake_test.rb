# frozen_string_literal: true

require_relative "../../core_helper"

# Before anything is opened. Safety is common practice; terms of warranty are common practice of makers.
class IntakeTest < CoreTest
  def warranty(**fields)
    Intake::Warranty.new(months: 24, today: MONDAY, **fields)
  end

  def test_in_warranty_until_the_day_it_ends
    assert_equal :out, warranty(bought_on: MONDAY << 24).state
    assert_equal :in, warranty(bought_on: (MONDAY << 24) + 1).state
    assert_equal :unknown, warranty.state
    assert_equal :out, warranty(bought_on: MONDAY - 10, second_hand: true).state
    assert_equal :out, warranty(months: 0, bought_on: MONDAY).state
  end

  # 31 August and six months end on 28 February: the calendar clamps.
  def test_months_clamp_at_the_end_of_a_month
    assert_equal Date.new(2026, 2, 28), warranty(months: 6, bought_on: Date.new(2025, 8, 31)).until_on
  end

  # Two years or 2,000 hours, whichever ends first.
  def test_hours_end_it_before_the_months_do
    [[1999.9, :in], [2000, :out], [2000.1, :out]].each do |run, state|
      assert_equal state, warranty(hours: 2000, hours_run: run, bought_on: MONDAY - 300).state, run
    end
    assert_equal Reason.of(:warranty_run_out, run_hours: 2100, terms_hours: 2000),
      warranty(hours: 2000, hours_run: 2100, bought_on: MONDAY - 300).reason
    assert_equal Reason.of(:warranty_until, terms_months: 24, terms_hours: 2000, from_on: Date.new(2025, 5, 6),
      until_on: Date.new(2027, 5, 6), run_hours: 900),
      warranty(hours: 2000, hours_run: 900, bought_on: MONDAY - 300).reason
  end

  def test_every_state_has_its_reason
    { bought_unknown: warranty, warranty_until: warranty(bought_on: MONDAY),
      warranty_ended: warranty(bought_on: MONDAY << 30),
      bought_second_hand: warranty(bought_on: MONDAY, second_hand: true),
      no_warranty: warranty(months: 0, bought_on: MONDAY) }.each { |key, terms| assert_equal key, terms.reason.key }
  end

  def test_how_each_kind_is_made_safe
    ways = { %i[stick battery] => :battery, %i[robot battery] => :robot, %i[drum mains] => :drum,
             %i[canister mains] => :mains, [nil, nil] => :unknown }

    ways.each { |(kind, power), way| assert_equal way, Intake::Safety.way(kind: kind, power: power) }
    assert_equal Intake::Safety::STEPS.keys, Intake::Safety::DONE.keys
  end

  def test_conditions_ask_for_what_the_machine_can_have
    refute_includes Intake::Safety.conditions(:mains).keys, "battery"
    refute_includes Intake::Safety.conditions(:battery).keys, "lead"
    assert_equal Intake::Safety::CONDITIONS.keys, Intake::Safety.conditions(nil).keys
    assert_match(/competent person under local rules/, Intake::Safety.stop_words("lead"))
    assert_match(/collection point/, Intake::Safety.stop_words("battery"))
  end

  def test_what_came_and_does_not_go_back
    count = Intake::Accessories.new({ "wand" => 1, "crevice tool" => 2 })

    assert_empty count.missing({ "wand" => 1, "crevice tool" => 2 })
    assert_equal({ "crevice tool" => 1 }, count.missing({ "wand" => 1, "crevice tool" => 1 }))
    assert_equal "wand, 2 × crevice tool", Intake::Accessories.words(count.missing({}))
  end
end
