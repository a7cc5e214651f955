# frozen_string_literal: true

require_relative "../test_helper"

# What becomes of each message that is handed over, by what its channel said; and of those that nobody wants any more.
class HandOverTest < DatabaseTest
  # A channel that says what it is told to.
  Channel = Struct.new(:answer, :arrived, :certain, keyword_init: true) do
    def deliver(*)
      raise answer if answer
    end

    def fate(_message)
      arrived ? :arrived : :not_arrived
    end

    def certain?
      certain
    end
  end

  def setup
    @card = card_naming(new_machine)
    @message = @card.message.tap { |message| message.update(state: "handing_over", handed_over_at: nil, tries: 1) }
  end

  def card_naming(machine)
    Services::BeginClocks.call([machine], { machine.id => today - 400 }, on: today)
    card = write_card(machine.customer)
    @due = Models::Due.running.where(machine_id: machine.id).order(:id).first
    Models::CardLine.create(card_id: card.id, due_id: @due.id, attempt: 1, leaves_on: today)
    card
  end

  def hand(**channel)
    Outbox::HandOver.new([@message], Channel.new(**channel), at: NOW).call
    @message.refresh
  end

  def void?
    @card.lines_dataset.select_order_map(:void).all?
  end

  def test_what_arrived_keeps_what_it_said
    hand(certain: true)

    assert_equal ["handed_over", NOW, nil], [@message.state, @message.handed_over_at, @message.last_error]
    assert_includes JSON.generate(@message.said), @due.position_name.downcase
    refute_predicate self, :void?
  end

  # The address is no good, and another card may speak of the same tasks.
  def test_what_is_rejected_is_noted_at_its_address
    hand(answer: Outbox::Rejected.new("no such mailbox"), certain: false)

    assert_equal ["rejected", "no such mailbox"], [@message.state, @message.last_error]
    assert_predicate self, :void?
    assert_equal [["email", @message.recipient]],
      Models::ChannelFault.where(customer_id: @card.customer_id).select_map(%i[channel address])
  end

  # Whether it arrived cannot be told: a person decides, and nothing is written a second time meanwhile.
  def test_what_is_in_doubt_waits_for_a_person
    hand(answer: Outbox::InDoubt.new("no answer"), certain: false)

    assert_equal ["unsure", "no answer"], [@message.state, @message.last_error]
    assert_includes Models::Message.for_a_person.select_map(:id), @message.id
    refute_predicate self, :void?
  end

  def test_an_error_after_which_the_channel_has_it_is_none
    { [true, true] => "handed_over", [true, false] => "failed",
      [false, true] => "failed" }.each do |(certain, arrived), state|
      @message.update(state: "handing_over", handed_over_at: nil)

      assert_equal state, hand(answer: IOError.new("full"), certain: certain, arrived: arrived).state,
        [certain, arrived]
    end
  end

  # Twice as long each time, six hours at most; the eighth time is the last.
  def test_it_is_tried_again_later_each_time_and_not_for_ever
    waits = (1...Outbox::HandOver::MOST_TRIES).map do |tries|
      @message.update(state: "handing_over", tries: tries)
      (hand(answer: IOError.new("away"), certain: false).next_try_at - NOW).to_i
    end

    assert_equal [60, 120, 240, 480, 960, 1920, 3840], waits
    @message.update(state: "handing_over", tries: Outbox::HandOver::MOST_TRIES)
    hand(answer: IOError.new("away"), certain: false)

    assert_equal ["given_up", "away", nil], [@message.state, @message.last_error, @message.next_try_at]
  end

  # Each is asked at the last moment; what nobody wants is not sent, and its tasks are free.
  def test_what_is_no_longer_wanted_does_not_leave
    { "its task was done" => -> { @due.update(state: "done", closed_on: today) },
      "it was put off" => -> { @due.update(snoozed_until: today + 30) },
      "the machine was scrapped" => -> { @due.machine.update(state: "scrapped") },
      "the machine is in the shop" => -> { take_in(@due.machine) },
      "the customer agrees no longer" => -> { @card.customer.update(email_agreed: false) },
      "the customer wants no more of it" => -> { @card.customer.update(stopped_on: today) },
      "there is no address" => -> { @card.customer.update(email: nil, email_agreed: false) } }.each do |why, happens|
      DB.transaction(rollback: :always, savepoint: true) do
        happens.call
        hand(certain: true)

        assert_equal "withdrawn", @message.state, why
        refute_empty @message.last_error
        assert_predicate self, :void?, why
      end
      @message.refresh
      [@due, @due.machine, @card.customer].each(&:refresh)
    end
  end

  def test_a_new_address_is_the_one_that_it_goes_to
    @card.customer.update(email: "elsewhere@example.org")
    hand(certain: true)

    assert_equal ["handed_over", "elsewhere@example.org"], [@message.state, @message.recipient]
  end

  def test_of_two_tasks_one_that_is_done_is_taken_off_and_the_other_goes
    other = Models::Due.running.where(machine_id: @due.machine_id).exclude(id: @due.id).first
    Models::CardLine.create(card_id: @card.id, due_id: other.id, attempt: 1, leaves_on: today)
    @due.update(state: "done", closed_on: today)
    hand(certain: true)

    assert_equal "handed_over", @message.state
    assert_equal [[other.id, false], [@due.id, true]].sort, @card.lines_dataset.select_map(%i[due_id void]).sort
  end
end
