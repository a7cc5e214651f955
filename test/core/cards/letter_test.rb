# frozen_string_literal: true

require_relative "../../core_helper"

class LetterTest < CoreTest
  # Common practice: a card names the customer, the machine and the filter, and when it is due.
  def test_names_the_customer_the_machine_the_filter_and_the_month
    line = Cards::Letter::Line.new(machine: "Brackwater Loft K", part: "Exhaust cassette", action: "replace",
      due_on: MONDAY, overdue: false)
    letter = Cards::Letter.new(customer: "Edda Corvell", shop: "Shop", shop_phone: "555-0199",
      lines: [line, line.with(action: "wash")], link: "http://x/c/1")

    assert_equal "Brackwater Loft K: a new exhaust cassette, due in March 2026 and 1 more", letter.subject
    ["Edda Corvell", "Brackwater Loft K", "a wash for the exhaust cassette", "555-0199", "http://x/c/1"]
      .each { |words| assert_includes letter.text, words }
    assert_includes letter.with(attempt: 2).text, "wrote to you before"
  end
end
