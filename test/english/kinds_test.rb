# frozen_string_literal: true

require_relative "../core_helper"

# Every key of every kind of part has its words, and no words are for a key that there is not.
class KindWordsTest < CoreTest
  English = UprightBench::English
  TRIPPED = English::Faults::SETTINGS.fetch(:cut_out)

  def each_kind
    Kinds.all.each { |kind| yield kind, English::Kinds.fetch(kind.key) }
  end

  def test_what_is_asked
    each_kind do |kind, words|
      assert_equal kind.own_fields.keys, words.labels.keys, kind.key
      assert_equal kind.measures, words.measures.keys, kind.key
      words.steps.each { |name, steps| assert_empty steps.keys - kind.fields.fetch(name).options, kind.key }
    end

    assert_equal Kind::ANYWHERE.keys, English::Fields::ANYWHERE.keys
  end

  def test_what_can_be_wrong
    each_kind do |kind, words|
      assert_equal kind.faults.keys.sort, words.faults.keys.sort, kind.key
      assert_empty kind.faults.values.flat_map(&:told_by) - words.found.keys, "#{kind.key}: no finding says so"
    end

    assert_equal Faults::Settings::ALL.keys, English::Faults::SETTINGS.keys
  end

  # Staff and customers read one sentence, or each their own.
  def test_what_was_found
    each_kind do |kind, words|
      states = kind.states.keys.map { |state| :"#{kind.key}_#{state.tr(' -', '_')}" }

      assert_empty states - words.found.keys, kind.key
      words.found.each { |key, said| assert_includes [%i[both], %i[staff customers]], said.keys, key }
    end
  end

  def test_no_sentence_stands_twice
    found = English::Kinds::ALL.values.flat_map { |words| words.found.keys }

    assert_equal found.uniq, found
  end

  def test_measures_of_a_kind_and_what_a_sheet_has_besides
    assert_equal %w[length_mm width_mm odd_mm],
      English::Kinds.measures(:belt, { "length_mm" => 300, "odd_mm" => 2 }).keys
    assert_empty English::Kinds.measures(:motor)
    assert_empty English::Kinds.measures(:of_a_draft)
  end

  # The sheet's own words for a place, else those for its kind; a try has its own.
  def test_how_a_place_is_looked_at
    own = position(kind: :path, key: "wand", look: "Look up the wand.")
    sheet = Struct.new(:place) { def position(_key) = place }.new(own)
    look = Faults::Check.new(key: "wand", place: "wand", name: "Wand", act: own.look, sign: nil, minutes: 1, shows: {})

    assert_equal ["Look up the wand.", "dark, or the coin stays in", "coin"], English::Faults.look(look, sheet).to_a
    assert_equal ["Pull.", "it comes off", nil],
      English::Faults.look(look.with(key: "swap:wand", act: "Pull.", sign: "it comes off"), sheet).to_a
  end

  def test_a_cause_in_words
    cause = Faults::Cause.at(position(kind: :path, key: "wand", name: "Wand"), Kinds::Path.faults.fetch(:partly), 0.1)

    assert_equal ["Wand: partly blocked", "partly blocked"], [English::Faults.cause(cause), English::Faults.short(cause)]
    assert_equal "Setting: brush switched off", English::Faults.cause(Faults::Cause.setting(:off, 0.1))
    assert_equal TRIPPED, English::Faults.of(:motor, :cut_out)
  end
end
