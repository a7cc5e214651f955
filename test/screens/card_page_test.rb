# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The customer's page behind a card's code.
class CardPageTest < DatabaseTest
  include AsStaff

  def setup
    Config::Web::Throttle::STORE.clear
    Models::Due.running.update(snoozed_until: today + 1000)
    machine = new_machine("Brackwater Loft K", bought_on: today - 400)
    Services::SetClocks.call(machine, on: today)
    @card = send_cards.first
    @path = URI(Outbox::Letters.link(@card)).path
  end

  def test_shows_what_is_due_and_why_to_anybody_with_the_code
    get @path

    assert_equal 200, status
    ["Wendel Testrup", "Brackwater Loft K", "exhaust cassette", "50 h of use"].each { |words| assert_includes page, words }
    refute_includes page, "wendel@example.org"
    assert_equal "no-store", last_response["cache-control"]
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
    late = Outbox::Letters.codes.write(@card.id, today - 1)
    get "/c/#{late}"

    assert_equal 404, status
  end
end
