# frozen_string_literal: true

require "mail"
require_relative "../test_helper"

# Who is in a batch and who is left out, and what becomes of what it holds until it has left.
class BatchesTest < DatabaseTest
  def setup
    empty_outbox
    always_open
    Models::Due.running.update(snoozed_until: today + 1000)
  end

  def customer(**fields)
    machine = new_machine("Brackwater Loft K", **fields)
    Services::SetClocks.call(machine, on: today)
    machine.customer
  end

  def dues_of(customer)
    Models::Due.running.where(machine_id: Models::Machine.where(customer_id: customer.id).select(:id), may_card: true)
  end

  def due_in(days, **fields)
    customer(**fields).tap { |one| dues_of(one).update(due_on: today + days, early_on: today, late_on: today + days) }
  end

  def test_a_batch_until_a_day_holds_what_leaves_by_then_each_on_its_day
    soon = due_in(12)
    later = due_in(40)
    batch = write_batch(until_on: today + 10)

    assert_equal [[soon.id, today + 2]], batch.cards_dataset.eager(:message)
      .all.map { |card| [card.customer_id, card.message.leaves_on] }
    assert_equal [[later.id, today + 30]], write_batch(until_on: today + 30).cards_dataset.eager(:message)
      .all.map { |card| [card.customer_id, card.message.leaves_on] }
  end

  def test_all_at_once_leaves_today
    due_in(40)

    assert_equal [today], write_batch(until_on: today + 30, at_once: true).messages.map(&:leaves_on)
  end

  def test_who_is_left_out_and_why
    due_in(5)
    no_way = due_in(5, name: "No Way", email_agreed: false)
    bench = due_in(5, name: "On Bench")
    take_in(bench.machines.first)
    book = Services::DueBook.new(today: today)

    assert_equal({ "No Way" => "has not agreed to any channel", "On Bench" => "the machine is on the bench" },
      book.left_out.to_h { |row, why| [row.customer_name, why.words] }.slice("No Way", "On Bench", "Wendel Testrup"))
    assert_equal 1, book.leaving.size
    batch = write_batch(without: [no_way.id])

    assert_equal [1, 1], [batch.expected, batch.left_out.to_h.fetch("has not agreed to any channel")]
    refute_includes batch.left_out.to_h, "unticked"
  end

  def test_only_the_chosen_and_not_those_without
    one, two, three = Array.new(3) { due_in(5) }

    assert_equal [one.id], send_cards(chosen: [one.id]).map(&:customer_id)
    batch = write_batch(without: [three.id])

    assert_equal [[two.id], 1, 1], [batch.cards.map(&:customer_id), batch.expected,
                                    batch.left_out.to_h.fetch("unticked")]
  end

  # ---- on its way

  def test_what_leaves_later_waits_for_its_day
    due_in(12)
    message = write_batch(until_on: today + 10).messages.first

    assert_equal "queued", hand_over(message).state
    again = Outbox::Round.new(message.batch_id, at: NOW).call

    assert_equal today + 2, Config::Zone.date(again)
    assert_equal "handed_over", hand_over(message, at: in_days(2)).state
    assert_equal "done", message.batch.refresh.state
  end

  def test_what_was_done_or_taken_in_or_stopped_meanwhile_is_not_sent
    reasons = { ->(one) { dues_of(one).update(state: "done", closed_on: today) } => /done, put off/,
                ->(one) { take_in(one.machines.first) } => /done, put off or on the bench/,
                ->(one) { Services::KeepConsent.stop(one, how: "phone", by: owner, at: NOW) } => /stop writing/,
                ->(one) { one.update(email_agreed: false) } => /no longer agrees/,
                ->(one) { one.update(email: nil) } => /no address/ }
    reasons.each do |change, words|
      one = due_in(5)
      message = send_cards(chosen: [one.id]).first.message
      change.call(one)

      assert_equal "withdrawn", hand_over(message).state, words.source
      assert_match words, message.last_error
      assert_equal [true], message.card.lines.map(&:void).uniq
    end
    assert_empty outbox("mail")
  end

  def test_what_is_done_of_a_card_is_taken_off_it
    one = due_in(5)
    card = send_cards.first
    dues_of(one).where(position: "motor-filter").update(state: "done", closed_on: today)
    hand_over(card.message)

    refute_match(/motor filter/, Mail.read(outbox("mail").first).text_part.decoded)
    assert_equal [1, 1], card.lines_dataset.all.partition(&:void).map(&:size)
  end

  def test_a_new_address_is_the_one_that_is_written_to
    one = due_in(5)
    message = send_cards.first.message
    one.update(email: "new@example.org")

    assert_equal %w[handed_over new@example.org], hand_over(message).values.values_at(:state, :recipient)
    assert_equal ["new@example.org"], Mail.read(outbox("mail").first).to
  end

  # ---- paused, gone on with, cancelled

  def test_paused_it_stays_and_gone_on_with_it_leaves
    due_in(5)
    batch = write_batch
    Services::SteerBatch.call(batch, "pause", by: owner, at: NOW)

    assert_equal "queued", hand_over(batch.messages.first).state
    2.times { Services::SteerBatch.call(batch, "go_on", by: owner, at: NOW) }

    assert_equal "handed_over", hand_over(batch.messages.first).state
    assert_raises(Services::Refused) { Services::SteerBatch.call(batch.refresh, "pause", by: owner, at: NOW) }
  end

  def test_paused_while_it_is_written_it_is_written_to_its_end_later
    due_in(5)
    batch = Services::SendCards.call(by: owner, at: NOW)
    Services::SteerBatch.call(batch, "pause", by: owner, at: NOW)

    assert_empty Services::WriteBatch.call(batch, at: NOW).cards
    Services::SteerBatch.call(batch, "go_on", by: owner, at: NOW)

    assert_equal ["leaving", 1], Services::WriteBatch.call(batch.refresh, at: NOW)
      .then { |one| [one.state, one.cards_dataset.count] }
  end

  def test_cancelled_what_has_not_left_may_be_on_another_card
    due_in(5)
    batch = write_batch
    Services::SteerBatch.call(batch, "cancel", by: owner, at: NOW)

    assert_equal [%w[withdrawn], "cancelled"], [batch.messages_dataset.select_map(:state), batch.refresh.state]
    assert_equal 1, send_cards.first.attempt
  end

  # Whatever is done to lines of cards, each due says how often it was on one.
  def test_each_due_says_how_often_it_was_on_a_card
    one = due_in(5)
    card = send_cards.first

    assert_equal [[1, today]], dues_of(one).distinct.select_map(%i[attempts carded_on])
    card.lines_dataset.update(void: true)

    assert_equal [[0, nil]], dues_of(one).distinct.select_map(%i[attempts carded_on])
    card.lines_dataset.update(void: false)

    assert_equal [[1, today]], dues_of(one).distinct.select_map(%i[attempts carded_on])
  end

  # ---- refused, bounced, in doubt

  def test_a_refused_address_is_marked_and_the_next_channel_taken
    one = due_in(5, email_agreed: false, text_agreed: true, phone_agreed: true, phone: "no number")
    message = send_cards.first.message

    assert_equal "rejected", hand_over(message).state
    assert_equal [["text", "no number"]], one.channel_faults_dataset.select_map(%i[channel address])
    assert_equal "phone", send_cards.first.channel
    one.update(phone: "555-0100")

    assert_equal :text, one.reload.address.channel
  end

  def test_what_came_back_marks_the_address_and_frees_the_tasks
    due_in(5, post_agreed: true, street: "Old Slip 1")
    message = hand_over(send_cards.first.message)
    2.times { Services::SettleMessage.bounced(message, reason: "box full", by: owner, at: NOW) }

    assert_equal ["bounced", %w[post]], [message.refresh.state, send_cards.map(&:channel)]
    assert_equal message.card.lines.map(&:due_id), message.card.due_ids,
      "whoever finds it after all sees what it is about"
  end

  def test_it_is_tried_later_each_time_and_not_for_ever
    due_in(5)
    message = send_cards.first.message
    File.write(SETTINGS.state_dir.join("outbox").tap(&:mkpath).join("mail"), "in the way")
    waits = []
    at = NOW
    while hand_over(message, at: at).state == "failed"
      waits << (message.next_try_at - at).round
      at = message.next_try_at
    end

    assert_equal [60, 120, 240, 480, 960, 1920, 3840], waits
    assert_equal "given_up", message.state
    assert_equal [message.id], Models::Message.for_a_person.where(batch_id: message.batch_id).select_map(:id)
    File.delete(SETTINGS.state_dir.join("outbox/mail"))
    Services::SettleMessage.call(message, arrived: false, by: owner, at: at)

    assert_equal "handed_over", hand_over(message, at: at).state
  end

  # ---- the channels

  def test_a_text_message_leaves_as_a_network_takes_it
    due_in(5, email_agreed: false, text_agreed: true, phone: "+1 555-0123")
    hand_over(send_cards.first.message)
    sent = JSON.parse(File.read(outbox("text").first))

    assert_equal ["+15550123", 0], sent.values_at("to", "data_coding")
    assert_match(%r{\ARopewalk Vacuum Repair: Brackwater Loft K: .*/c/}, sent["text"])
    assert_operator sent["parts"].size, :<=, 2
  end

  # RFC 8058: both headers, the address over its own path; RFC 5322, read back by the mail library: text comes first.
  def test_a_mail_stops_the_cards_in_one_click
    due_in(5)
    card = send_cards.first
    hand_over(card.message)
    raw = File.binread(outbox("mail").first)
    mail = Mail.read_from_string(raw)

    assert_equal ["<#{Outbox::Letters.link(card)}/stop>", "List-Unsubscribe=One-Click"],
      %w[List-Unsubscribe List-Unsubscribe-Post].map { |name| mail[name].decoded }
    assert_equal ["text/plain", "text/html"], mail.parts.map(&:mime_type)
    assert_empty mail.errors
    assert_operator raw.split("\r\n").map(&:bytesize).max, :<=, 998 # RFC 5322 clause 2.1.1
    refute_match(/[^\r]\n/, raw)
  end

  # Who wants the part sent stands in a list until it is done, however long their cards are put off.
  def test_who_wants_the_part_sent_stands_in_a_list
    one = due_in(5)
    card = send_cards.first
    Services::AnswerCard.call(card, kind: "send_part", by: owner, at: NOW)

    assert_equal dues_of(one).where(action: "replace", id: card.due_ids).count,
      Queries::PartsToSend.call.count { |row| row.card_id == card.id }
    dues_of(one).update(state: "done", closed_on: today)

    assert_empty(Queries::PartsToSend.call.select { |row| row.card_id == card.id })
  end

  def test_a_customer_who_wants_to_be_called_is_on_the_list
    one = due_in(5, email_agreed: false, phone_agreed: true, phone: "555-0123")
    card = send_cards.first
    hand_over(card.message)
    Services::HearAnswer.not_reached(card, by: owner, at: NOW)

    assert_equal "%PDF", Services::PrintedCalls.new.paper(0).render[0, 4]
    Services::HearAnswer.call(card, { kind: "not_now", weeks: 8 }, by: owner, at: NOW)

    assert_equal [1, [today + 56]], [card.refresh.phone_calls, dues_of(one).select_map(:snoozed_until).uniq]
  end

  def test_each_in_the_customers_language
    Services::Words.keep("de", { replace: "Wechsel: {part}" }, by: owner, at: NOW)
    due_in(5, language: "de")
    hand_over(send_cards.first.message)

    assert_match(/Wechsel: exhaust cassette/, Mail.read(outbox("mail").first).text_part.decoded)
  end

  def test_with_a_hole_in_the_words_nothing_is_begun
    Models::Shop.the.update(phone: "")

    assert_match(/\{phone\}/, assert_raises(Services::Invalid) { write_batch }.message)
    assert_raises(Services::Invalid) { Services::Words.keep("en", { email_body: "come" }, by: owner, at: NOW) }
  end
end
