# frozen_string_literal: true

require_relative "../browser_helper"

# A machine's page: what another use would do to its dates, while typing and without keeping anything.
class MachineBrowserTest < BrowserTest
  def test_what_if_moves_the_dates_while_typing
    machine = new_machine("Brackwater Loft K")
    machine.update(hours_per_week: 1)
    Services::SetClocks.call(machine, done: { "exhaust-filter" => %i[replace] }, on: today)
    sign_in
    visit "/machines/#{machine.id}"
    fill_in "Try other hours a week", with: "20"

    assert_css "#what-if-answer li", text: /replace: exhaust cassette .* → /
    assert_css "#what-if-answer .ribbon-wide a, #what-if-answer .ribbon-wide .place", minimum: 1
    assert_empty axe
    check "pets that shed"

    assert_css "#what-if-answer", text: "dates move. Nothing is saved"
    fill_in "Try other hours a week", with: "lots"

    assert_css "#what-if-answer .field-error", text: "0 to 168"
    assert_equal 1, machine.refresh.hours_per_week.to_i
  end
end
