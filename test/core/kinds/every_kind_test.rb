# frozen_string_literal: true

require_relative "../../core_helper"

# Every kind of part is asked every question. It goes over the folder, so that a later kind is asked too.
class EveryKindTest < CoreTest
  FILES = Dir[File.join(CoreAlone::ROOT, "core/kinds/*.rb")].map { |file| File.basename(file, ".rb").to_sym }.sort

  def each_fault(&)
    Faults::Possible::ALL.each(&)
  end

  def test_the_folder_is_the_registry
    assert_equal FILES, Kinds::ALL.keys
    assert_equal Kinds.all, Kinds::ALL.keys.map { |key| Kinds.fetch(key) }
    assert(Kinds.all.all?(Kind))
  end

  # Each state that is not good means work or a stop, or is said to mean none; a wash is for what is dirty.
  def test_what_a_state_means
    verdicts = Findings::VerdictKind::KEYS + [Kind::STOP]
    Kinds.all.each do |kind|
      assert_equal kind.states_in.nil?, kind.states.empty?, kind.key
      kind.states.each do |word, state|
        assert_includes verdicts, state.verdict, "#{kind.key} #{word}"
        assert_equal :clean, state.verdict, "#{kind.key} #{word}" if state.wash_helps
        assert_equal({ kind.states_in => word }, kind.faults.fetch(state.fault.key).observed) if state.fault
      end
    end
  end

  def test_a_crack_and_water_where_nobody_expects_them
    Kinds.all.each do |kind|
      assert_includes [:replace, :refer, Kind::STOP], kind.cracked, kind.key
      assert_includes [:clean, Kind::STOP], kind.wet, kind.key
    end
  end

  def test_its_reader_and_what_it_says_of_the_clocks
    known = Findings::Loads.private_instance_methods(false)
    Kinds.all.each do |kind|
      assert_operator kind.read_by, :<, Findings::Reader
      refute_empty kind.ages, kind.key
      assert_empty kind.ages + kind.tells - known, kind.key
      assert_empty kind.tells - kind.ages, kind.key
      assert_empty kind.asks_for - Findings::Background.instance_methods(false), kind.key
    end
  end

  def test_what_its_faults_explain_and_come_from
    each_fault do |row|
      assert_empty row.fault.explains.keys - Faults::Complaints::BY_KEY.keys, "#{row.part} #{row.fault.key}"
      row.fault.behind_it.each { |part, keys| keys.each { |key| assert Faults::Possible.fetch(part, key) } }
    end
  end

  def test_no_fault_stands_twice
    Kinds.all.each do |kind|
      assert_equal kind.states.values.count(&:fault) + kind.other_faults.size, kind.faults.size, kind.key
    end
  end

  # Weights are for a kind of machine, for its power, or for any other.
  def test_how_often_is_said_for_every_machine
    kinds = [:any, *Sheets::Sheet::KINDS, *Sheets::Sheet::POWERS]
    each_fault do |row|
      row.fault.explains.each_value do |often|
        next assert_kind_of(Numeric, often) unless often.is_a?(Hash)

        assert_empty often.keys - kinds
        assert often.key?(:any)
      end
    end
  end

  def test_air_trials_rack_and_shelf
    known = FinalTest::Plan::USUAL.map(&:first)
    Kinds.all.each do |kind|
      assert_operator kind.resistance, :>=, 0, kind.key
      assert_includes 0..1, kind.laminar, kind.key
      assert_empty kind.trials - known, kind.key
      assert_includes Drying::SlotSize::WORDS, kind.slot, kind.key
      assert_empty kind.sides - Kind::SIDES, kind.key
      assert_operator kind.tolerance.of("width_mm", 30), :>, 0
    end
  end

  def test_each_trial_belongs_to_some_kind
    assert_empty FinalTest::Plan::USUAL.map(&:first) - Kinds.all.flat_map(&:trials)
  end

  def test_each_trait_is_that_of_some_kind_and_others_are_refused
    Kind::TRAITS.each_key { |trait| assert(Kinds.all.any? { |kind| kind.trait?(trait) }) }
    error = assert_raises(ArgumentError) { Kinds::Path.with(traits: %i[edible]) }

    assert_match(/path: edible/, error.message)
    assert_match(/glued/, assert_raises(ArgumentError) { Kinds::Path.with(cleaned: :glued) }.message)
  end

  # Nothing is left out in silence.
  def test_every_question_is_to_be_answered
    answers = Kinds::Path.to_h

    answers.each_key do |question|
      assert_match(/#{question}/, assert_raises(ArgumentError) { Kind.new(**answers.except(question)) }.message)
    end
  end
end
