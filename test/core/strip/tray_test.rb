# frozen_string_literal: true

require "json"
require_relative "../../core_helper"

# Where the opening of a machine stands.
class TrayTest < CoreTest
  SHEET = UprightBench::Core::Sheets::Parse
    .new(JSON.parse(File.read(File.join(CoreAlone::ROOT, "demo/sheets/hallmoor-dart-m.json")))).call

  def tray(to_do: [], done: [], open: [])
    Strip::Tray.new(SHEET, to_do: to_do, done: done, open: open)
  end

  def test_out_one_by_one_and_in_the_other_way_round
    assert_equal "clip-ring", tray(to_do: %w[cones]).next_out.key
    assert_equal "housing", tray(to_do: %w[cones], open: %w[clip-ring]).next_out.key
    assert_nil tray(to_do: %w[cones], open: %w[clip-ring housing]).next_out
    assert_equal "housing", tray(done: %w[cones], open: %w[clip-ring housing]).next_in.key
    assert_equal "clip-ring", tray(done: %w[cones], open: %w[clip-ring]).next_in.key
    assert_nil tray(done: %w[cones]).next_in
  end

  # A bin and a screen lift off by hand: nothing of them is counted.
  def test_only_what_can_be_lost_is_followed
    assert_equal %w[clip-ring housing], tray(to_do: %w[cyclone-gasket]).followed.map(&:key)
    assert_empty tray(to_do: %w[screen]).followed
    assert_equal %w[clip-ring housing], tray(done: %w[cones]).closed_before("cones").map(&:key)
  end

  def test_what_must_be_open_before_and_closed_first
    assert_equal %w[clip-ring], tray.missing_before(SHEET.step("housing")).map(&:key)
    assert_empty tray(open: %w[clip-ring]).missing_before(SHEET.step("housing"))
    assert_equal %w[housing], tray(open: %w[clip-ring housing]).open_behind(SHEET.step("clip-ring")).map(&:key)
  end

  def test_whose_part_goes_in_before_a_step_is_closed
    assert_equal %w[cones cyclone-gasket], tray.places_behind(SHEET.step("housing")).sort
    refute_includes tray.places_behind(SHEET.step("housing")), "screen"
  end

  # What is counted out is what is counted in.
  def test_pieces_of_a_step
    pieces = Strip::Piece.of(SHEET.step("housing"))

    assert_equal [["fastener-0", "T8, 8 mm", 7], ["fastener-1", "T10, 14 mm, inner ring, the long ones", 4],
                  ["part-0", "cyclone gasket", 1]], pieces.map { |piece| [piece.key, piece.words, piece.count] }
    assert_empty Strip::Piece.of(SHEET.step("bin-off")), "a lug stays where it is"
  end
end
