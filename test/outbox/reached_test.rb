# frozen_string_literal: true

require_relative "../test_helper"

# A card that came back: once, with what is no good about its address, and without naming who was forgotten.
class ReachedTest < DatabaseTest
  def came_back(card, reason = "moved away")
    Outbox::Reached.came_back(card.message, reason, NOW)
  end

  def faults(card)
    Models::ChannelFault.where(customer_id: card.customer_id).select_map(%i[channel address reason])
  end

  def test_it_comes_back_once
    card = write_card(new_machine.customer, channel: "post")

    assert came_back(card)
    refute came_back(card, "again")
    assert_equal ["bounced", "moved away"], card.message.refresh.values.values_at(:state, :last_error)
    assert_equal [["post", "Old Slip 1", "moved away"]], faults(card)
  end

  def test_what_has_not_left_does_not_come_back
    %w[queued failed withdrawn rejected given_up].each do |state|
      card = write_card(new_machine.customer)
      card.message.update(state: state, handed_over_at: nil)

      refute came_back(card), state
      assert_empty faults(card), state
    end
  end

  def test_what_was_in_doubt_may_come_back
    card = write_card(new_machine.customer)
    card.message.update(state: "unsure", handed_over_at: nil)

    assert came_back(card, "")
    assert_equal ["bounced", "it came back", NOW],
      card.message.refresh.values.values_at(:state, :last_error, :handed_over_at)
  end

  def test_of_who_was_forgotten_the_reason_is_not_kept
    card = write_card(new_machine.customer)
    card.customer.update(forgotten_on: today)
    came_back(card, "wendel@example.org is unknown")

    assert_equal "it came back", card.message.refresh.last_error
  end
end
