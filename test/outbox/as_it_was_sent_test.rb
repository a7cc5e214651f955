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

  # With the price that the part had when the card was written, and the hours that the shop is open.
  def test_a_card_says_price_and_hours_where_the_owner_wants_it
    text = "{tasks}\n\n{price}\n\nOpen {hours}.\n\n{link}"
    Services::Words.keep("en", { email_body: text }, by: owner, at: NOW)
    Services::SavePolicies.call({ "part_tax_percent" => 10 }, by: owner, at: NOW)
    Models::Part.dataset.update(price_cents: 1000)
    machine = new_machine("Brackwater Loft K")
    Services::SetClocks.call(machine, on: today)
    card = send_cards.find { |one| one.customer_id == machine.customer_id }
    Models::Part.dataset.update(price_cents: 7777)

    assert_match(/^A new [a-z ]+ costs \$11\.00, tax included\./, Outbox::Letters.of(card).text)
    assert_match(/^Open Monday to Sunday 00:00–24:00\.$/, Outbox::Letters.of(card).text)
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
