# frozen_string_literal: true

require_relative "../core_helper"

class ValueTest < CoreTest
  def test_is_frozen_with_all_it_holds
    part = Fit::Part.new(id: 1, number: "A", name: "A", kind: :filter, attributes: { "clip" => +"yes" })

    assert_predicate part, :frozen?
    assert_predicate part.attributes.fetch("clip"), :frozen?
  end

  def test_equal_by_content_and_usable_as_a_key
    one = clock(:hours, 50)

    assert_equal one, clock(:hours, 50)
    assert_equal 1, { one => 1 }[clock(:hours, 50)]
    refute_equal one, one.with(limit: 60)
  end

  def test_missing_and_unknown_fields_raise
    assert_match(/missing keyword: :limit/, assert_raises(ArgumentError) { Clocks::Clock.of(kind: :hours) }.message)
    assert_match(/unknown keyword: :colour/, assert_raises(ArgumentError) { clock(:hours, 1, colour: 2) }.message)
  end
end
