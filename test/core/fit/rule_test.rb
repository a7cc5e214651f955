# frozen_string_literal: true

require_relative "../../core_helper"

class FitRuleTest < CoreTest
  def rule(**where)
    Fit::Rule.new(part_id: 1, position: "bag", model: "Loft K", **where)
  end

  def machine(serial_number)
    Fit::Machine.new(model: "Loft K", family: "Loft", body_style: "K", serial_number: serial_number)
  end

  def fits(rule, *numbers)
    numbers.map { |number| rule.serial_number?(machine(number)) }
  end

  def test_a_range_of_serial_numbers_holds_both_its_ends
    assert_equal [false, true, true, true, false],
      fits(rule(serial_from: "BK-100", serial_to: "BK-200"), "BK-099", "BK-100", "BK-150", "BK-200", "BK-201")
    assert_equal [true, false], fits(rule(serial_to: "BK-200"), "BK-200", "BK-201")
    assert_equal [false, true], fits(rule(serial_from: "BK-200"), "BK-199", "BK-200")
  end

  def test_shorter_numbers_come_first
    assert_equal [true, false], fits(rule(serial_to: "999"), "99", "1000")
  end

  def test_a_number_that_nobody_knows_is_in_no_range
    assert_equal [true, false, false, false],
      [rule, rule(serial_from: "1"), rule(serial_to: "9"), rule(serial_from: "1", serial_to: "9")]
        .map { |range| range.serial_number?(machine(nil)) }
  end

  def test_a_rule_for_a_model_is_none_for_its_family
    assert_equal :model, rule.level(machine(nil))
    assert_nil rule(family: "Loft").with(model: "Loft C").level(machine(nil))
    assert_equal :family, rule(family: "Loft").with(model: nil).level(machine(nil))
    assert_nil rule.with(model: nil).level(machine(nil).with(family: nil))
  end
end
