# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The customer's page behind a card's code.
class CardPageTest < DatabaseTest
  include AsStaff

  def setup
    Models::Due.running.update(snoozed_until: today + 1000)
    machine = new_machine("Brackwater Loft K", bought_on: today - 400)
    Services::SetClocks.call(machine, on: today)
    @card = send_cards.first
    @path = URI(Outbox::Letters.link(@card)).path
  end

  def test_shows_what_is_due_and_why_to_anybody_with_the_code
    get @path

    assert_equal 200, status
    ["Wendel Testrup", "Brackwater Loft K", "exhaust cassette", "50 hours of use since"]
      .each { |words| assert_includes page, words }
    refute_includes page, "wendel@example.org"
    assert_equal "no-store", last_response["cache-control"]
  end

  def test_a_change_of_mind_is_told_back_as_it_stands
    %w[not_now will_come no_longer_have].each do |kind|
      Services::AnswerCard.call(@card, kind: kind, by: behind(@card), at: NOW)
    end
    get @path

    assert_includes page, "You told us: I will come by, I no longer have the machine."
  end

  # Every text, worded otherwise, is read somewhere; none is read as it comes.
  def test_speaks_the_customers_language
    texts = { **Core::Cards::Texts::PAGE, **Core::Cards::Texts::WHY }
    worded = texts.to_h do |name, (text, *)|
      [name, text.split(", ").map { |word| "ø#{word}" }.join(", ")]
    end
    Services::Words.keep("xx", worded, by: owner, at: NOW)
    other = new_machine("Brackwater Loft K")
    other.update(customer_id: @card.customer_id)
    Services::SetClocks.call(other, on: today)
    due = Models::Due.running.first(machine_id: other.id)
    Models::CardLine.create(card_id: @card.id, due_id: due.id, attempt: 1, leaves_on: today)
    due.update(state: "done", closed_on: today)
    offer = Services::Offers.begin({ minutes: 10, starts_on: today, ends_on: today + 30 }, by: owner, at: NOW)
    @card.update(offer_id: offer.id)
    @card.customer.update(language: "xx")
    submit @path, { "kind" => "will_come", "drop_off_on" => Services::DaysAhead.offered(at: NOW).first.iso8601 },
      from: @path
    read = ["", "/stop"].map { |more| get(@path + more) && page }
    submit "#{@path}/stop", {}, from: "#{@path}/stop"
    read << page
    read.concat(what_became_of_the_offer)

    says = ->(words, text) { text.match?(/(?<!ø)#{Regexp.escape(words[/[^{,]+/])}/) }
    unread = worded.slice(*Core::Cards::Texts::PAGE.keys).reject do |name, words|
      %i[date weekdays].include?(name) || read.any? { |text| says.call(words, text) }
    end
    as_it_comes = texts.select do |_, (words, *)|
      words[/[^{,]+/].size > 7 && read.any? { |text| says.call(words, text) }
    end

    assert_empty unread.keys + as_it_comes.keys
    read.each { |text| assert_match(/lang="xx"/, text) }
    assert_match(/øThursday, ø\d/, read.first)
    assert_match(/ø50 øhours of use since [^:]*, øat about 1.1 øhours a week/, read.first)
  end

  def test_a_language_without_words_is_english
    @card.customer.update(language: "qq")
    get @path

    assert_match(/lang="en"/, page)
    assert_includes page, "What is due"
  end

  def test_each_answer_is_taken
    Services::AnswerCard::KINDS.each_key do |kind|
      submit @path, { "kind" => kind, "note" => "thanks" }, from: @path

      assert_equal 303, status, kind
    end
    assert_equal Services::AnswerCard::KINDS.size, Models::Answer.where(card_id: @card.id).count
  end

  def test_an_answer_that_is_none
    submit @path, { "kind" => "perhaps" }, from: @path

    assert_equal 422, status
    submit @path, { "kind" => "will_come", "note" => "x" * 900 }, from: @path

    assert_equal 422, status
    submit @path, { "kind" => "no_longer_have", "machine_id" => "1" }, from: @path

    assert_equal 422, status
  end

  def test_a_code_that_was_changed_or_has_run_out
    swapped = @path.sub(/.\z/) { |letter| letter == "0" ? "1" : "0" }
    get swapped

    assert_equal 404, status
    refute_includes page, "To the bench"
    late = Outbox::Letters.codes.write(@card.id, today - 1)
    get "/c/#{late}"

    assert_equal 404, status
  end

  private

  # @return [Array<String>] the page once the offer was used, and once another one is over
  def what_became_of_the_offer
    Models::Earning.create(card_id: @card.id, job_id: take_in.id, minutes: 10, earned_at: NOW)
    used = get(@path) && page
    Models::Earning.where(card_id: @card.id).delete
    over = Models::Offer.create(minutes: 10, starts_on: today - 30, ends_on: today - 1, created_by: owner.id,
      created_at: NOW)
    @card.update(offer_id: over.id)
    [used, get(@path) && page]
  end
end
