# frozen_string_literal: true

require_relative "../browser_helper"

# A sheet edited in place: the drawing follows, mistakes stand beside their field, and a version is kept.
class SheetsBrowserTest < BrowserTest
  def setup
    super
    sign_in
    visit "/sheets/#{sheet('Hallmoor Dart M').id}"
    click_button "Edit"

    assert_css "h1", text: "Draft of Hallmoor Dart M"
  end

  def draft
    Models::Draft.first
  end

  def place(key)
    draft.to_core.position(key)
  end

  def test_the_drawing_follows_and_the_hand_stays_where_it_was
    find("#draft .path-list a", text: "Pre-motor filter").click
    find_by_id("name").click
    press [:Control, "a"], "Cup filter", :Tab

    assert_css "#draft .ribbon-wide", text: "Cup filter"
    assert_equal "station", focused
    assert_equal "Cup filter", place("pre-filter").name
  end

  def test_what_is_typed_while_an_answer_is_on_its_way_stays
    find("#draft .path-list a", text: "Pre-motor filter").click
    find_by_id("material").click
    press [:Control, "a"], "felt", :Tab, "7", :Tab, "90", :Tab
    wait_for("all three") do
      place("pre-filter").then { |one| [one.material, one.minutes, one.refit_order] } == ["felt", 7, 90]
    end

    assert_field "minutes", with: "7"
    assert_field "refit_order", with: "90"
  end

  def test_a_broken_rule_stands_beside_its_field_and_nothing_is_saved
    find("#draft .path-list a", text: "Pre-motor filter").click
    find_by_id("minutes").click
    press [:Control, "a"], "soon", :Tab

    assert_css "#minutes-error", text: "must be a number"
    assert_field "minutes", with: "soon"
    assert_kind_of Numeric, place("pre-filter").minutes
    find_by_id("minutes").click
    press [:Control, "a"], "6", :Tab

    assert_no_css "#minutes-error"
    wait_for("the minutes") { place("pre-filter").minutes == 6 }
  end

  def test_a_place_is_put_in_moved_and_kept_as_a_version
    find("#draft summary", text: /\ABin/).click
    name = find("[aria-label='Name of a new place at bin']")
    name.fill_in(with: "Bin latch")
    name.find(:xpath, "./ancestor::form").click_button("Add")

    assert_css "#draft h2", text: "Bin latch"
    click_button "Save version"

    assert_css "#note-error", text: "Say what is new"
    fill_in "What is new", with: "the latch is a place of its own"
    click_button "Save version"

    assert_css ".versions li", text: "the latch is a place of its own"
    assert_css ".versions li", text: "place Bin latch added"
    assert_css ".ribbon-wide", text: "Bin latch"
  end
end
