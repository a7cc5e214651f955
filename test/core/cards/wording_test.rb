# frozen_string_literal: true

require_relative "../../core_helper"

class WordingTest < CoreTest
  def test_opening_hours_in_words
    long = { "08:30" => "12:30", "13:00" => "17:30" }
    week = { "mon" => long, "tue" => long, "thu" => long, "fri" => {}, "sat" => { "09:00" => "13:00" } }

    assert_equal "Monday to Tuesday 08:30–12:30, 13:00–17:30; Thursday 08:30–12:30, 13:00–17:30; Saturday 09:00–13:00",
      Cards::Words.new.hours(week)
    assert_equal "", Cards::Words.new.hours({})
    assert_equal "Sonntag: 10:00–12:00", Cards::Words.new(texts: {
      weekdays: "Montag, Dienstag, Mittwoch, Donnerstag, Freitag, Samstag, Sonntag", open_day: "{day}: {times}"
    }).hours({ "sun" => { "10:00" => "12:00" } })
  end

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

  # A subject is a line of its own, and paper and speech cannot be pressed.
  def test_no_address_of_the_page_where_it_cannot_be_followed
    told = Cards::Texts::ALL.select { |name, _| name.end_with?("_subject") || %i[post_body phone_body].include?(name) }

    assert_operator told.size, :>, 6
    told.each { |name, (_, fields)| refute_includes fields, :link, name }
  end

  def test_a_notice_is_one_of_its_kinds_and_says_what_it_is_given
    values = { customer: "Edda", machine: "Loft K", shop: "Shop", phone: "555", hours: "always", link: "http://x" }
    notice = Cards::Notice.new(kind: :ready, words: Cards::Words.new, values: values)

    assert_equal "Shop: your Loft K is ready to fetch. http://x", notice.short
    assert_raises(ArgumentError) { notice.with(kind: :lost) }
  end

  def test_where_the_month_stands_first_only_days_are_worded_otherwise
    Units::Writing::HELD.during(-> { Units::Writing.new(date_order: "mdy") }) do
      assert_equal "{month} {day}, {year}", Cards::Texts.as_it_comes(:full_date)
      assert_equal "Your {machine} is ready", Cards::Texts.as_it_comes(:ready_subject)
    end
  end

  def test_what_is_wrong_is_said_before_anything_is_sent
    { { replace: "a new part" } => /must say \{part\}/, { email_body: "{tasks} {link} {nmae}" } =>
        /knows no \{nmae\}; there is \{customer\}/,
      { opening: "{name}" } => /knows no \{name\}; there is no field here/,
      { post_body: "{machine}" } => /must say \{tasks\}\z/,
      { text_body: "come" } => /\{link\}/,
      { months: "Jan, Feb" } => /twelve/, { weekdays: "Mon" } => /seven/, { date: "{weekday}" } => /\{day\} \{month\}/,
      { opening: " " } => /no text/ }.each do |texts, words|
      assert_match words, Cards::Words.new(texts: texts).problems.fetch(texts.keys.first).join(" ")
    end
  end

  def test_days_of_a_whole_week_and_months_of_a_whole_year
    words = Cards::Words.new

    assert_equal %w[Monday Tuesday Wednesday Thursday Friday Saturday Sunday],
      (0..6).map { |days| words.date(MONDAY + days)[/\w+/] }
    assert_equal [["Monday, 2 March"], "March 2026", "2 March 2026"],
      [[words.date(MONDAY)], words.month(MONDAY), words.full_date(MONDAY)]
    assert_equal %w[January December], [1, 12].map { |month| words.month(Date.new(2026, month, 1))[/\w+/] }
  end

  def test_another_language_says_all_of_it
    texts = { replace: "Wechsel: {part}", due_in: "fällig {month}",
              months: "Januar, Februar, März, April, Mai, Juni, Juli, August, September, Oktober, November, Dezember" }
    line = Cards::Letter::Line.new(machine: "Loft K", part: "Motorfilter", action: "replace", due_on: MONDAY,
      overdue: false)

    assert_equal "Wechsel: motorfilter, fällig März 2026", line.words(Cards::Words.new(texts: texts))
  end

  def test_why_something_is_due_is_said_to_the_customer
    { Reason.of(:after_hours, hours: 50, rate: 1.5, household: 0.75, traits: %w[pets smoker], **CLOCK) =>
        "50 hours of use since 2 March 2026, at about 1.5 hours a week, sooner because of pets that shed, a smoker: " \
        "15 February 2027",
      Reason.of(:after_months, months: 1, personal: 1.3, **CLOCK) =>
        "1 month since 2 March 2026, adjusted to what we found in it before: 15 February 2027",
      Reason.of(:after_bags, bags: 4, counted: 1, **CLOCK) =>
        "after 4 bags, 1 of them since 2 March 2026: 15 February 2027",
      Reason.of(:after_bags, bags: 4, **CLOCK) => "after 4 bags, reckoned from 2 March 2026: 15 February 2027",
      Reason.of(:after_washes, washes: 1, counted: 0, **CLOCK) =>
        "after 1 wash, reckoned from 2 March 2026: 15 February 2027",
      Reason.of(:after_hours, hours: 50, found: 34, found_on: MONDAY, **CLOCK) =>
        "we found it about 34 % worn or full on 2 March 2026: 15 February 2027",
      Reason.of(:after_hours, hours: 50, found: 33, found_on: MONDAY, **CLOCK) =>
        "we found it little worn or filled on 2 March 2026: 15 February 2027",
      Reason.of(:at_full_indicator, percent: 60, read_on: MONDAY, **CLOCK) =>
        "its indicator stood at 60 % on 2 March 2026: 15 February 2027",
      Reason.written("as it was written") => "as it was written" }
      .each { |reason, words| assert_equal words, Cards::Words.new.why(reason) }
    assert_match(/do not know/, Cards::Words.new.why(Reason.of(:history_unknown)))
    assert_match(/looked at it on 2 March 2026, but/,
      Cards::Words.new.why(Reason.of(:start_unknown, found_on: MONDAY)))
    assert_match(/not used/, Cards::Words.new.why(Reason.of(:nothing_runs)))
    assert_equal "due on 15 February 2027", Cards::Words.new.why(Reason.of(:after_miles, miles: 9, **CLOCK))
  end

  def test_the_owners_words_for_it_in_another_language
    texts = { why_months: "{amount} seit {from}{adjusted}: {until}", count_months: "Monat, Monate",
              why_household: "früher wegen {traits}", traits: "Haustiere, Baustaub, langes Haar, täglich, Rauch",
              months: "Jan, Feb, März, Apr, Mai, Juni, Juli, Aug, Sep, Okt, Nov, Dez" }

    assert_equal "12 Monate seit 2 März 2026, früher wegen Haustiere: 15 Feb 2027", Cards::Words.new(texts: texts)
      .why(Reason.of(:after_months, months: 12, household: 0.75, traits: %w[pets], **CLOCK))
  end

  CLOCK = { from_on: MONDAY, until_on: MONDAY + 350 }.freeze
end
