# frozen_string_literal: true

require_relative "../../core_helper"

# A belt is told by length and width, a filter by its sides, clip and frame (common practice).
class AskedOfKindTest < CoreTest
  def asked(...)
    Fit::AskedOfKind.attributes(...)
  end

  def test_what_tells_parts_of_a_kind_apart
    assert_equal [%i[length_mm width_mm], %i[length_mm width_mm diameter_mm]],
      [Fit::AskedOfKind.sides("belt"), Fit::AskedOfKind.sides("gadget")]
    assert_equal %w[clip first_side frame seal twist_lock], asked("filter").keys
    assert_equal({ "toothed" => [true, false] }, asked("belt"))
  end

  def test_with_what_is_known_of_those_on_file
    known = { "drive" => %w[mini left], "sleeve" => [true] }

    assert_equal({ "drive" => %w[left right mini], "first_side" => %w[left right], "sleeve" => [true] },
      asked("roll", known))
    assert_equal({ "lid" => [false] }, asked("gadget", { "lid" => [false] }))
  end
end
