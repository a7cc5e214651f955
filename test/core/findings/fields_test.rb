# frozen_string_literal: true

require_relative "../../core_helper"

# What may be recorded at a place, and how it is written.
class FieldsTest < CoreTest
  English = UprightBench::English

  def field(kind, name)
    Kinds.fetch(kind).fields.fetch(name)
  end

  def test_the_ends_of_the_grey_scale_have_words
    assert_equal({ 0 => "white", 5 => "as dark as the reference" }, English::Fields.steps(:filter, :grey))
    assert_equal (0..5).to_a, field(:filter, :grey).options
  end

  def test_lengths_are_written_in_the_shops_unit_and_nothing_else_is
    assert_equal %w[mm in], %i[mm inch].map { |unit| field(:belt, :length_mm).unit_words(unit) }
    assert_equal ["%"] * 2, %i[mm inch].map { |unit| field(:bag, :fill_percent).unit_words(unit) }
    assert_equal ["1", "25.4", "45"], [field(:belt, :length_mm).typed(25.4, unit: :inch),
                                       field(:belt, :length_mm).typed(25.4, unit: :mm),
                                       field(:bag, :fill_percent).typed(45.0, unit: :inch)]
  end

  def test_what_was_found_in_few_words
    said = { fill_percent: ["45", "full 45 %"], burst: [true, "burst"], note: ["by hand", "note: by hand"] }

    said.each { |name, (typed, words)| assert_equal words, English::Fields.words(Kinds::Bag, name, typed, unit: :inch) }

    assert_equal "airflow partly", English::Fields.words(Kinds::Path, :state, "partly", unit: :mm)
    assert_equal "length 13.1 in", English::Fields.words(Kinds::Belt, :length_mm, "13.1", unit: :inch)
  end

  def test_it_is_fine_records_the_good_word_and_no_number
    assert_equal ["free", nil, nil],
      [field(:roll, :turns), field(:filter, :grey), field(:bag, :fill_percent)].map(&:fine)
  end

  def note
    Findings::Fields::Text.new
  end

  def test_what_cannot_be_is_refused
    [101, -1, Float::NAN, Float::INFINITY, "45"].each do |value|
      assert_raises(ArgumentError, value.to_s) { field(:bag, :fill_percent).check_value(value) }
    end
    ["x" * 201, 5].each { |value| assert_raises(ArgumentError) { note.check_value(value) } }
    assert_nil note.check_value("x" * 200)
    assert_nil field(:carbon, :length_mm).check_value(0)
    [0, 100, 45.5].each { |value| assert_nil field(:bag, :fill_percent).check_value(value) }
  end
end
