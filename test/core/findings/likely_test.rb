# frozen_string_literal: true

require_relative "../../core_helper"

# A wrong unit is caught before it becomes a verdict. Limits are house rules.
class LikelyTest < CoreTest
  BRUSH = { kind: :brush, measures: { "new_standout_mm" => 8 } }.freeze
  BELT = { kind: :belt, measures: { "length_mm" => 332 } }.freeze

  def likely(place, name, **more)
    Findings::Likely.new(position(**place), name, **more)
  end

  def test_bristles_never_stand_much_prouder_than_new
    assert_nil likely(BRUSH, :standout_mm).problem(10)
    assert_nil likely(BRUSH, :standout_mm).problem(-5)
    problem = likely(BRUSH, :standout_mm).problem(40)

    assert_in_delta(4.0, problem.meant)
    assert_match(/40 mm is not likely here: new bristles stand 8 mm proud/, problem.words)
    assert_match(/lies between -5 mm and 10 mm/, likely(BRUSH, :standout_mm).problem(-6).words)
  end

  def test_a_belt_in_centimetres_or_inches
    assert_nil likely(BELT, :length_mm).problem(342)
    assert_in_delta(332.0, likely(BELT, :length_mm).problem(33.2).meant)
    assert_in_delta 332, likely(BELT, :length_mm).problem(13.07).meant, 0.1 # 13.07 in
    assert_nil likely(BELT, :length_mm).problem(900).meant
  end

  def test_at_just_below_and_just_above_the_limits
    range = likely(BELT, :length_mm).range

    assert_nil likely(BELT, :length_mm).problem(range.end)
    refute_nil likely(BELT, :length_mm).problem(range.end + 0.1)
    refute_nil likely(BELT, :length_mm).problem(range.begin - 0.1)
  end

  def test_said_in_the_shops_unit
    assert_match(/1\.575 in is not likely here: new bristles stand 0\.315 in proud/,
      likely(BRUSH, :standout_mm, unit: :inch).problem(40).words)
  end

  def test_a_pack_never_runs_half_as_long_again_as_when_new
    pack = { kind: :battery, measures: { "run_minutes" => 20 } }

    assert_nil likely(pack, :run_minutes).problem(30)
    refute_nil likely(pack, :run_minutes).problem(31)
  end

  # Where the sheet gives no measure, the number that lies nearest to the middle of what there is.
  def test_without_a_measure_the_range_of_the_field_counts
    assert_equal [0..60, 50..3000, -5..40], [%i[carbon length_mm], %i[belt length_mm], %i[brush standout_mm]]
      .map { |kind, name| likely({ kind: kind }, name).range }.map { |range| range.begin.round..range.end.round }
    assert_equal 240, likely({ kind: :battery }, :run_minutes).range.end
    assert_in_delta 50.0, likely({ kind: :bag }, :fill_percent).problem(500).meant
    assert_in_delta 39.37, likely({ kind: :bag }, :fill_percent).problem(1000).meant # nearer to the middle than 100
    assert_in_delta 30.0, likely({ kind: :carbon }, :length_mm).problem(300).meant
    assert_in_delta 3.0, likely({ kind: :carbon, measures: { "new_length_mm" => 4 } }, :length_mm).problem(30).meant
    # 300 was meant as 30.0 tenths, not as 11.8 from inches: the sheet's 30 mm is what is expected.
    assert_in_delta 30.0, likely({ kind: :carbon, measures: { "new_length_mm" => 30 } }, :length_mm).problem(300).meant
    assert_in_delta 37.5, likely({ kind: :carbon, measures: { "new_length_mm" => 30 } }, :length_mm).range.end
    assert_in_delta 18.0, likely({ kind: :battery, measures: { "run_minutes" => 20 } }, :run_minutes).problem(180).meant
  end

  def test_what_may_be_typed_at_all
    percent = [%i[filter indicator_percent], %i[bag fill_percent], %i[bin fill_percent]]

    assert_equal [0..100] * 3, percent.map { |kind, name| Kinds.fetch(kind).fields.fetch(name).range }
    assert_equal [0..240, 0..120], %i[run_minutes run_minutes_full].map { |name| Kinds::Battery.fields[name].range }
  end

  def test_what_is_no_number_of_this_world
    refute_nil likely(BRUSH, :standout_mm).problem(Float::INFINITY)
    refute_nil likely({ kind: :bag }, :fill_percent).problem(101)
    assert_nil likely({ kind: :bag }, :fill_percent).problem(100)
  end
end
