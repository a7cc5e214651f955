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
    refute_includes letter.text, "wrote to you before"
    refute_match(/\n|  /, letter.short)
    assert_includes letter.short, "http://x/c/1"
  end

  # Common practice: a card that is too small counts what it leaves out, and says nothing where nothing is left out.
  def test_what_the_paper_does_not_hold_is_counted
    line = Cards::Letter::Line.new(machine: "Brackwater Loft K", part: "Belt", action: "replace", due_on: MONDAY,
      overdue: true)
    letter = Cards::Letter.new(customer: "E", shop: "S", shop_phone: "555-0199", lines: [line] * 3, link: "x")

    assert_match(/and 1 more/, letter.paper(2))
    refute_match(/more$/, letter.paper(3))
    assert_equal 3, letter.text.scan("new belt").size
    other = letter.with(lines: [line, line.with(machine: "Hallmoor Dart M", part: "Bag")])

    assert_match(/\ABrackwater Loft K: a new belt/, other.subject)
    refute_includes other.paper(1), "Hallmoor"
  end

  def test_says_what_the_parts_cost_where_it_is_known
    line = Cards::Letter::Line.new(machine: "Brackwater Loft K", part: "Belt", action: "replace", due_on: MONDAY,
      overdue: true, price_cents: 1650)
    words = Cards::Words.new(texts: { email_body: "{tasks}\n\n{price}\n\n{link}", price: "The {part}: {price}." })
    letter = Cards::Letter.new(customer: "E", shop: "S", shop_phone: nil, link: "x", words: words,
      lines: [line, line.with(part: "Bag", price_cents: nil), line.with(part: "Seal", price_cents: 99)])

    assert_includes letter.text, "\n\nThe belt: $16.50. The seal: $0.99.\n\n"
    refute_match(/\$/, letter.with(lines: [line.with(price_cents: nil)]).text)
    assert words.say?(:price)
    refute Cards::Words.new.say?(:price)
  end

  # What was sent stays as it was sent, on every channel, with the address of the page as it is now.
  def test_what_was_sent_is_said_again_word_for_word
    sent = Cards::Letter.new(customer: "E", shop: "S", shop_phone: nil, lines: [], link: "http://x/c/2",
      said: { "subject" => "Then", "text" => "As it was:\n{link}" })

    assert_equal ["As it was:\nhttp://x/c/2"] * 4, [sent.text, sent.short, sent.paper, sent.phone_script]
    assert_equal "Then", sent.subject
  end
end
