# frozen_string_literal: true

require_relative "../../core_helper"

class DropCoveredTest < CoreTest
  Row = Struct.new(:machine_id, :position_name, :action)

  def named(*rows)
    Cards::DropCovered.from(rows.map { |row| Row.new(*row) }).map(&:to_a)
  end

  def test_a_new_part_needs_no_wash
    assert_equal [[1, "Foam", "replace"]], named([1, "Foam", "wash"], [1, "Foam", "replace"])
    assert_equal [[1, "Foam", "wash"]], named([1, "Foam", "inspect"], [1, "Foam", "wash"], [1, "Foam", "clean"])
  end

  # One that covers is enough, whatever else is due there.
  def test_one_at_the_same_place_of_the_same_machine_is_enough
    rows = [[1, "Foam", "clean"], [1, "Foam", "inspect"], [1, "Foam", "replace"]]

    assert_equal [[1, "Foam", "replace"]], named(*rows)
    assert_equal [[1, "Foam", "wash"], [2, "Foam", "replace"], [1, "Bag", "replace"]],
      named([1, "Foam", "wash"], [2, "Foam", "replace"], [1, "Bag", "replace"])
  end
end
