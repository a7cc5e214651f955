# frozen_string_literal: true

require_relative "../test_helper"

# What was sent stays as it was sent.
class AsItWasSentTest < DatabaseTest
  def setup
    super
    @machine = new_machine("Brackwater Loft K")
    Services::SetClocks.call(@machine, on: today)
    @card = send_cards.find { |card| card.customer_id == @machine.customer_id }
    @sent = Outbox::Letters.of(@card).text
    hand_over(@card.message)
    @card = Models::Card[@card.id]
  end

  def letter
    Outbox::Letters.of(Models::Card[@card.id])
  end

  def test_another_word_and_another_date_change_no_card_that_left
    assert_equal "handed_over", @card.message.state
    texts = { **Core::Cards::Texts::CARD.transform_values(&:first), email_body: "{tasks} {link} else" }
    Services::Words.keep("en", texts, by: owner, at: NOW)
    Models::Due.where(machine_id: @machine.id).update(due_on: today + 900, late_on: today + 900)

    assert_equal @sent, letter.text
    refute_equal @sent, letter.with(said: nil).text
    assert_includes letter.text, Outbox::Letters.link(@card)
  end

  def test_the_address_of_the_page_is_not_kept_in_the_clear
    kept = @card.message.said.to_hash

    assert_includes kept.fetch("text"), "{link}"
    refute_includes kept.to_s, Outbox::Letters.link(@card)
    assert_match(/Brackwater Loft K/, kept.fetch("subject"))
  end

  def test_who_is_forgotten_is_not_kept_in_what_was_sent
    Services::Forget.call(@machine.customer, by: owner, at: NOW)

    assert_nil @card.message.refresh.said
  end
end
