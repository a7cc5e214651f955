# frozen_string_literal: true

# Group: slow (long stories in a browser)

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
    press [:Control, "a"], "felt", :Tab, "7", :Tab
    wait_for("both") { place("pre-filter").then { |one| [one.material, one.minutes] } == ["felt", 7] }

    assert_field "minutes", with: "7"
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

  # What holds a step is set down, moved and taken out with the mouse and the keys.
  def test_points_on_the_drawing_of_a_step
    find("#draft .path-list a", text: "Undo and draw the pack").click

    assert_css "[data-step-plan] [data-row]", count: 2
    take_one_out_and_set_it_down_again
    held = -> { draft.to_core.step("battery-out").fasteners.first.at.last }
    before = held.call
    find("[data-step-plan] [data-index='1']").evaluate_script("this.focus()")
    press :Right

    wait_for("the arrow") { held.call[0] == before[0] + 2 }

    assert_css "[data-step-plan] [data-index='1']:focus"
    press %i[shift Down]

    wait_for("ten further down") { held.call[1] == before[1] + 10 }
    drag_to_the_middle

    wait_for("the mouse") { held.call.all? { |side| side.between?(45, 55) } }
  end

  private

  def drag_to_the_middle
    middle = lambda { |css|
      evaluate_script("(b => [b.x + b.width / 2, b.y + b.height / 2])(document.querySelector(\"#{css}\")" \
                      ".getBoundingClientRect())")
    }
    find("[data-step-plan]").scroll_to(:center)
    mouse = page.driver.browser.mouse
    from = middle.call("[data-step-plan] [data-index='1'] circle")
    to = middle.call("[data-step-plan] svg")
    mouse.move(x: from[0], y: from[1]).down
    mouse.move(x: to[0], y: to[1]).up
  end

  def take_one_out_and_set_it_down_again
    find("[data-step-plan] [data-index='1']").evaluate_script("this.focus()")
    press :Delete

    assert_css "[data-step-plan] [data-row]", count: 1
    find("[data-step-plan] svg").click(x: 40, y: 30)

    assert_css "[data-step-plan] [data-row]", count: 2
    wait_for("the draft") { draft.to_core.step("battery-out").fasteners.first.at.size == 2 }
  end
end
