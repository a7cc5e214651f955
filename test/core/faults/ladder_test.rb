# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

class FaultLadderTest < CoreTest
  include UprightBench::Core

  def sheet(name = "hallmoor-dart-m")
    Sheets::Parse.new(JSON.parse(File.read(File.expand_path("../../../demo/sheets/#{name}.json", __dir__)))).call
  end

  def search(complaint = :no_suction, name = "hallmoor-dart-m")
    Faults::PlanSearch.new(sheet(name), complaint).call
  end

  def test_what_is_open_stays_open
    found = search
    closed = Faults::Ladder.new(found)

    assert_equal %w[bin-off clip-ring cones-out housing screen-off], found.check_of("cyclone-gasket").needs.sort
    opened = Faults::Ladder.new(found, [["screen", :clear]])

    assert closed.openings.key?("bin-off")
    refute opened.openings.key?("bin-off")
    assert_in_delta found.check_of("screen").minutes + found.opening_minutes(%w[bin-off]), opened.spent
  end

  def test_found_ends_it_with_the_place
    found = search
    ladder = Faults::Ladder.new(found, [["neck", :found]])

    assert_nil ladder.next_step
    assert_equal ["neck:blocked"], ladder.found.map(&:key)
  end

  # Two faults at once: the one that was mended goes, the rest stands, and the search goes on.
  def test_mended_and_still_there
    found = search
    ladder = Faults::Ladder.new(found, [["neck", :found]], mended: %w[neck:blocked])

    assert_nil ladder.found
    assert_in_delta 0.0, ladder.belief["neck:blocked"]
    assert ladder.next_step
    refute_equal "neck", ladder.next_step.check.key
  end

  # What the look-over saw is likelier, and still has to be shown; what it saw nothing at is not asked again.
  def test_what_the_look_over_saw
    found = search(:weak_everywhere)
    before = Faults::Ladder.new(found)
    ladder = Faults::Ladder.new(found, noticed: ["screen:wound"], looked: %w[pre-filter])

    assert_operator ladder.belief["screen:wound"], :>, before.belief["screen:wound"] * 2
    assert_operator ladder.belief["pre-filter:full"], :<, 0.05
    assert_includes ladder.left.map(&:key), "screen"
    refute_includes ladder.left.map(&:key), "pre-filter"
    assert_in_delta 0, ladder.spent
  end

  # What else the same look would have shown was not there either.
  def test_mended_leaves_little_at_its_place
    found = search(:pulses)
    ladder = Faults::Ladder.new(found, [["pre-filter", :found]], mended: %w[pre-filter:full])

    assert_operator ladder.belief["pre-filter:damp"], :<, 0.05
    assert_in_delta 0, ladder.belief["pre-filter:full"]
    assert_operator ladder.belief["neck:blocked"], :>, ladder.belief["pre-filter:damp"]
  end

  # Found, mended, and the second one found after it.
  def test_two_faults_one_after_the_other
    found = search
    ladder = Faults::Ladder.new(found, [["neck", :found], ["wand", :clear], ["bin-seal", :found]],
      mended: %w[neck:blocked])

    assert_includes ladder.found.map(&:key), "bin-seal:lifted"
    assert_operator ladder.belief["wand:blocked"], :<, 0.01
  end

  def test_clear_takes_belief_from_its_causes_only
    found = search(:weak_everywhere)
    before = Faults::Ladder.new(found)
    after = Faults::Ladder.new(found, [["pre-filter", :clear]])

    assert_operator after.belief["pre-filter:full"], :<, before.belief["pre-filter:full"] / 5
    assert_operator after.belief["screen:clogged"], :>, before.belief["screen:clogged"]
    assert_operator after.none, :>, before.none
  end

  def test_cannot_tell_changes_nothing_and_is_not_asked_again
    found = search(:weak_everywhere)
    ladder = Faults::Ladder.new(found, [["pre-filter", :cannot_tell]])

    assert_in_delta Faults::Ladder.new(found).belief["pre-filter:full"], ladder.belief["pre-filter:full"]
    refute_includes ladder.left.map(&:key), "pre-filter"
  end

  # Which of two lids' seals binds, closing each alone shows in a minute; a gasket inside is no lid's.
  def test_a_stiff_lid
    found = search(:lid_or_bin_stiff, "hallmoor-dart-l")
    alone = found.checks.select { |check| check.key.start_with?("alone:") }

    assert_equal %w[inner-lid-seal outer-lid-seal], alone.map(&:place).sort
    first = Faults::Ladder.new(found).next_step.check

    assert_includes alone.map(&:key), first.key
    assert_equal ["#{first.place}:binds"], Faults::Ladder.new(found, [[first.key, :found]]).found.map(&:key)
    refute(search(:lid_or_bin_stiff, "maristo-reed").checks.any? { |check| check.key.start_with?("alone:") })
  end

  def test_nothing_is_left
    found = search(:hard_to_push)
    ladder = Faults::Ladder.new(found, found.checks.map { |check| [check.key, :cannot_tell] })

    assert_nil ladder.next_step
    assert_nil ladder.found
  end

  # The sign over the motor's inlet clears the motor; no sign says it is the motor.
  def test_a_hand_over_the_inlet
    found = search
    pulls = Faults::Ladder.new(found, [["settings", :clear], ["try:inlet", :found]])
    dead = Faults::Ladder.new(found, [["settings", :clear], ["try:inlet", :clear]])

    assert_operator pulls.belief["motor:worn"], :<, 0.02
    assert_operator dead.belief["motor:worn"], :>, 0.5
    assert_nil pulls.found, "it proves nothing"
    assert_equal "motor", dead.next_step.check.place
  end
end
