# frozen_string_literal: true

require_relative "../browser_helper"

# A round of practice by keyboard alone.
class PracticeBrowserTest < BrowserTest
  def test_a_round_by_keyboard
    sign_in("Tobiah Lund")
    visit "/practice"

    assert_empty axe
    select "Hallmoor Dart M", from: "Model"
    select "no suction", from: "The complaint"
    find_button("Begin").send_keys(:enter)

    assert_text "The customer says: “no suction”."
    assert_empty axe
    round = Models::PracticeRound.reverse(:id).first
    choose "ready to run"
    find_button("Wand").send_keys(:enter)

    assert_css "li", text: "Wand:"
    select "Wand, with all before it off", from: "Where"
    select "flow", from: "What", exact: true
    find_button("Read it, 2 min and more").send_keys(:enter)

    assert_css "li", text: "Flow at Wand, with all before it off:"
    assert_empty axe
    select "clean it", from: "What would you do"
    select English::Faults.cause_of(round.sheet, round.hidden.first), from: "The fault"
    find_button("That is it").send_keys(:enter)

    assert_text "right"
    assert_text "Not safe: Wand"
    assert_text "The best order, on average"
    assert_empty axe
    click_on "Another round"

    assert_css "td", text: "right"
  end
end
