# frozen_string_literal: true

require "mail"
require_relative "../test_helper"

class CardsTest < DatabaseTest
  def setup
    empty_outbox
    Models::Due.running.update(snoozed_until: today + 1000)
    @machine = new_machine("Brackwater Loft K", bought_on: today - 400)
    Services::SetClocks.call(@machine, on: today)
    @customer = @machine.customer
  end

  def test_one_card_for_all_that_is_due_and_never_twice
    card = send_cards.first

    assert_equal ["Exhaust cassette", "Motor filter"], card.dues.map(&:position_name).sort
    assert_empty send_cards
    assert_equal 1, DB[:que_jobs].where(job_class: "UprightBench::Outbox::SendBatch")
      .where(Sequel.lit("args->>0 = ?", card.batch_id.to_s)).count
  end

  def test_the_database_itself_refuses_a_second_first_card
    card = send_cards.first
    other = Models::Card.create(card.values.except(:id))

    assert_raises(Sequel::UniqueConstraintViolation) do
      DB.transaction(savepoint: true) do
        Models::CardLine.create(card_id: other.id, due_id: card.dues.first.id, attempt: 1, leaves_on: today)
      end
    end
  end

  def test_a_follow_up_after_the_gap_and_no_more_than_two
    times = (0..4).map { |n| in_days(n * 31) }

    assert_equal [[1], [2], [3], [], []], times.map { |time|
      send_cards(at: time).select { |card| card.customer_id == @customer.id }.map(&:attempt)
    }
  end

  def test_who_did_not_answer_stands_in_a_list_and_may_be_chosen_again
    4.times { |n| send_cards(at: in_days(n * 31)) }
    later = in_days(4 * 31)
    book = Services::DueBook.new(today: Config::Zone.date(later))

    assert_includes Queries::Unanswered.call(book).map(&:customer_id), @customer.id
    assert_equal 1, Services::WriteAgain.call([@customer.id], by: owner, at: later)
    refute_includes Queries::Unanswered.call(book).map(&:customer_id), @customer.id
    assert_equal [[4], []], [later, later + (31 * 86_400)].map { |time|
      send_cards(at: time).select { |card| card.customer_id == @customer.id }.map(&:attempt)
    }
  end

  def test_a_year_later_they_are_written_to_anew
    3.times { |n| send_cards(at: in_days(n * 31)) }

    assert_equal [4], send_cards(at: in_days(62 + 366))
      .select { |card| card.customer_id == @customer.id }.map(&:attempt)
  end

  def test_no_card_for_a_machine_on_the_bench
    take_in(@machine)

    assert_empty send_cards
  end

  def test_a_part_that_is_to_be_replaced_is_not_named_for_a_wash
    task = Models::Due.first(machine_id: @machine.id, position: "exhaust-filter")
    wash = Models::Due.create(task.values.except(:id).merge(task: "wash", action: "wash"))
    card = send_cards.first

    assert_includes card.due_ids, wash.id
    assert_equal ["Exhaust cassette", "Motor filter"], Outbox::Letters.of(card).lines.map(&:part).sort
    assert_equal %w[replace], Outbox::Letters.of(card).lines.map(&:action).uniq
  end

  def test_who_has_two_of_a_model_reads_which_of_them
    machines = Array.new(2) { |at| new_machine("Brackwater Loft K", name: "Two Alike", bought_on: today - 400 - at) }
    machines.last.update(customer_id: machines.first.customer_id)
    machines.each { |machine| Services::SetClocks.call(machine, on: today) }
    one, two = send_cards.sort_by { |card| card.customer_id == @customer.id ? 0 : 1 }
      .map { |card| Outbox::Letters.of(card).text }

    assert_match(/^Brackwater Loft K$/, one)
    machines.each { |machine| assert_match(/^Brackwater Loft K #{machine.serial_number}$/, two) }
  end

  # RFC 5322, read back by the mail library.
  def test_an_email_card_is_dropped_once_as_a_message_that_reads_back
    message = send_cards.first.message
    2.times { hand_over(message) }

    assert_equal 1, outbox("mail").size
    mail = Mail.read(outbox("mail").first)

    assert_equal ["wendel@example.org"], mail.to
    assert_match(/Brackwater Loft K/, mail.subject)
    assert_includes mail.body.decoded, "/c/"
    assert_equal "handed_over", message.refresh.state
  end

  def test_what_was_handed_over_before_a_crash_is_not_handed_over_again
    message = send_cards.first.message
    hand_over(message)
    written = File.read(outbox("mail").first)
    message.update(state: "handing_over", handed_over_at: nil)
    message.batch.update(state: "leaving", finished_at: nil)
    hand_over(message)

    assert_equal ["handed_over", written], [message.refresh.state, File.read(outbox("mail").first)]
  end

  def test_a_mail_server_that_cannot_tell_leaves_it_to_a_person
    message = send_cards.first.message
    message.update(state: "handing_over")
    smtp = Config::Settings.new({ "SMTP_URL" => "smtp://127.0.0.1:9" })

    assert_equal :unknown, Outbox::EmailChannel.new(smtp).fate(message)
  end

  def test_a_failure_is_kept_and_tried_again
    message = send_cards.first.message
    FileUtils.mkdir_p(SETTINGS.state_dir.join("outbox"))
    File.write(SETTINGS.state_dir.join("outbox/mail"), "in the way")

    assert_equal ["failed", (NOW + 60).round(3)], hand_over(message)
      .then { |after| [after.state, after.next_try_at.round(3)] }
    File.delete(SETTINGS.state_dir.join("outbox/mail"))

    assert_equal ["failed", 1], hand_over(message).values.values_at(:state, :tries)
    assert_equal ["handed_over", 2], hand_over(message, at: NOW + 61).values.values_at(:state, :tries)
  end

  def test_post_goes_to_the_print_tray_as_a6
    @customer.update(email_agreed: false, post_agreed: true)
    hand_over(send_cards.first.message)

    # 148 × 105 mm
    assert_match(%r{/MediaBox \[0 0 419\.5\d* 297\.6\d*\]}, File.binread(outbox("post").first).force_encoding("BINARY"))
  end

  def test_will_come_waits_before_writing_again
    answer("will_come")

    assert_empty send_cards(at: in_days(31))
    refute_empty send_cards(at: in_days(46))
  end

  def test_not_now_puts_it_off
    answer("not_now", weeks: "8")

    assert_empty send_cards(at: in_days(50))
  end

  def test_done_elsewhere_begins_a_new_cycle
    card = answer("done_elsewhere")

    assert_equal %w[done done], card.dues.map(&:state)
    assert_equal [today] * 2, Models::Due.running.where(machine_id: @machine.id, action: "replace", may_card: true)
      .select_map(:started_on)
    assert_empty send_cards
  end

  def test_a_new_part_from_elsewhere_needs_no_wash_either
    machine = new_machine("Corvane Drum 30", name: "Two Tasks")
    Services::SetClocks.call(machine, on: today)
    at_filter = Models::Due.running.where(machine_id: machine.id,
      position: Models::Due.first(machine_id: machine.id, action: "wash").position)
    { "replace" => today, "wash" => today + 300 }.each do |action, date|
      at_filter.where(action: action).update(due_on: date, early_on: date, late_on: date)
    end
    card = send_cards.find { |one| one.customer_id == machine.customer_id }

    assert_equal %w[replace], card.dues.select { |due| due.position == at_filter.get(:position) }.map(&:action)
    Services::AnswerCard.call(card, kind: "done_elsewhere", by: behind(card), at: NOW)

    assert_equal [today], at_filter.select_map(:started_on).uniq
  end

  def test_no_longer_have_ends_the_machine
    answer("no_longer_have")

    assert_equal "sold", @machine.refresh.state
    assert_empty Models::Due.running.where(machine_id: @machine.id)
  end

  def test_stop_writing_ends_the_consent
    answer("stop_writing")

    assert_equal [today, false], @customer.refresh.values.values_at(:stopped_on, :email_agreed)
    assert_empty send_cards(at: in_days(60))
  end

  def test_an_answer_twice_is_one
    card = answer("will_come")
    Services::AnswerCard.call(card, kind: "will_come", by: behind(card), at: NOW)

    assert_equal 1, Models::Answer.where(card_id: card.id).count
    assert_raises(Services::Invalid) { Services::AnswerCard.call(card, kind: "maybe", by: behind(card), at: NOW) }
  end

  private

  def answer(kind, **more)
    send_cards.first.tap { |card| Services::AnswerCard.call(card, kind: kind, by: behind(card), at: NOW, **more) }
  end
end
