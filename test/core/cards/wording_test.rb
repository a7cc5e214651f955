# frozen_string_literal: true

require_relative "../../core_helper"

class WordingTest < CoreTest
  def test_fields_are_filled_and_empty_paragraphs_left_away
    assert_equal "Dear Edda,\n\nbye", Cards::Wording.new(text: "Dear {customer},\r\n\r\n{offer}\r\n\r\nbye")
      .fill(customer: "Edda", offer: "")
  end

  def test_what_is_filled_in_is_not_read_again
    assert_equal "{shop}", Cards::Wording.new(text: "{customer}").fill(customer: "{shop}", shop: "x")
  end

  def test_a_field_without_a_value_is_an_error_and_named
    error = assert_raises(Cards::Wording::Missing) do
      Cards::Wording.new(text: "{phone} {shop}").fill(shop: "x", phone: nil)
    end

    assert_equal %i[phone], error.names
  end

  def test_what_comes_with_the_product_is_in_order
    assert_empty Cards::Words.new(texts: Cards::Texts::ALL.transform_values(&:first)).problems
  end

  def test_what_is_wrong_is_said_before_anything_is_sent
    { { replace: "a new part" } => /must say \{part\}/, { email_body: "{tasks} {link} {nmae}" } => /knows no \{nmae\}/,
      { text_body: "come" } => /\{link\}/,
      { months: "Jan, Feb" } => /twelve/, { weekdays: "Mon" } => /seven/, { date: "{weekday}" } => /\{day\} \{month\}/,
      { opening: " " } => /no text/ }.each do |texts, words|
      assert_match words, Cards::Words.new(texts: texts).problems.fetch(texts.keys.first).join(" ")
    end
  end

  def test_another_language_says_all_of_it
    texts = { replace: "Wechsel: {part}", due_in: "fällig {month}",
              months: "Januar, Februar, März, April, Mai, Juni, Juli, August, September, Oktober, November, Dezember" }
    line = Cards::Letter::Line.new(machine: "Loft K", part: "Motorfilter", action: "replace", due_on: MONDAY,
      overdue: false)

    assert_equal "Wechsel: motorfilter, fällig März 2026", line.words(Cards::Words.new(texts: texts))
  end
end
