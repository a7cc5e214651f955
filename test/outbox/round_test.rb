# frozen_string_literal: true

require_relative "../test_helper"

# Which messages a round hands over, how many at a time, what becomes of those that a crash left, and when it comes
# again.
class RoundTest < DatabaseTest
  # A channel that writes down what it is given. It says of each message what it was told to say.
  class Channel
    attr_reader :given

    def initialize(certain: true, fates: {})
      @certain = certain
      @fates = fates
      @given = []
    end

    def deliver(message, *)
      @given << message.id
    end

    def fate(message)
      @fates.fetch(message.id, :not_arrived)
    end

    def certain?
      @certain
    end
  end

  def setup
    @batch = Models::Batch.create(until_on: today + 30, state: "leaving", created_by: owner.id, created_at: NOW)
  end

  def to_leave(leaves_on: today, state: "queued", **more)
    customer = new_machine.customer
    card = Models::Card.create(customer_id: customer.id, channel: "email", attempt: 1, code_expires_on: today + 90,
      batch_id: @batch.id, created_by: owner.id, created_at: NOW)
    due = Models::Due.running.where(machine_id: clocked(customer)).first
    Models::CardLine.create(card_id: card.id, due_id: due.id, attempt: 1, leaves_on: leaves_on)
    Models::Message.create(card_id: card.id, batch_id: @batch.id, channel: "email", recipient: customer.email,
      leaves_on: leaves_on, state: state, **more)
  end

  # @return [Array<Integer>] ids of machines whose clocks run
  def clocked(customer)
    machines = Models::Machine.where(customer_id: customer.id).all
    Services::BeginClocks.call(machines, machines.to_h { |machine| [machine.id, today - 400] }, on: today)
    machines.map(&:id)
  end

  # @return [Time, nil] when to come again
  def round(channel = Channel.new, at: NOW, **more)
    one = Outbox::Round.new(@batch.id, at: at, **more)
    one.instance_variable_get(:@channels)["email"] = channel
    one.call
  end

  def states(*messages)
    messages.map { |message| message.refresh.state }
  end

  def test_the_batch_is_done_when_all_have_left
    both = [to_leave, to_leave]

    assert_nil round
    assert_equal %w[handed_over handed_over], states(*both)
    assert_equal ["done", NOW], [@batch.refresh.state, @batch.finished_at]
  end

  def test_nothing_leaves_before_its_day_and_then_at_nine
    now = to_leave
    tomorrow = to_leave(leaves_on: today + 1)
    to_leave(leaves_on: today + 3)

    assert_equal Config::Zone.at(today + 1, 9), round
    assert_equal %w[handed_over queued leaving], [*states(now, tomorrow), @batch.refresh.state]
  end

  def test_what_failed_is_tried_when_its_time_comes
    early = to_leave(state: "failed", tries: 1, next_try_at: NOW + 60)
    late = to_leave(state: "failed", tries: 2, next_try_at: NOW + 120)
    to_leave(leaves_on: today + 1)

    assert_equal NOW + 60, round
    assert_equal NOW + 120, round(at: NOW + 60)
    assert_equal [["handed_over", 2], ["failed", 2]],
      [early, late].map { |one| one.refresh.values.values_at(:state, :tries) }
  end

  # Where a channel cannot tell what arrived, a crash is to leave one message in doubt and no more.
  def test_slices_of_a_channel_that_can_tell_and_single_ones_of_one_that_cannot
    5.times { to_leave }
    { true => [2, 2, 1], false => [1] * 5 }.each do |certain, sizes|
      given = sizes_of_slices(certain)

      assert_equal sizes, given, "certain: #{certain}"
      Models::Message.where(batch_id: @batch.id).update(state: "queued", handed_over_at: nil)
      @batch.refresh.update(state: "leaving", finished_at: nil)
    end
  end

  def sizes_of_slices(certain)
    sizes = []
    made = Outbox::HandOver.method(:new)
    Outbox::HandOver.stub(:new, lambda { |slice, *all, **more|
      sizes << slice.size
      made.call(slice, *all, **more)
    }) { round(Channel.new(certain: certain), slice: 2) }
    sizes
  end

  def test_of_what_a_crash_left_the_channel_is_asked
    arrived, lost, unknown = Array.new(3) { to_leave(state: "handing_over", tries: 1) }
    channel = Channel.new(fates: { arrived.id => :arrived, unknown.id => :unknown })

    assert_nil round(channel)
    assert_equal %w[handed_over handed_over unsure], states(arrived, lost, unknown)
    assert_equal [lost.id], channel.given
  end

  def test_a_batch_that_is_paused_or_cancelled_hands_nothing_over
    one = to_leave
    %w[paused cancelled].each do |state|
      @batch.update(state: state, finished_at: (NOW if state == "cancelled"))

      assert_nil round
      assert_equal ["queued", state], [*states(one), @batch.refresh.state]
    end
  end

  # And one that is paused in the middle stops after the slice that is on its way.
  def test_paused_in_the_middle
    first, second = [to_leave, to_leave].sort_by(&:id)
    channel = Channel.new(certain: false)
    channel.define_singleton_method(:deliver) do |one, *|
      Models::Batch.where(id: one.batch_id).update(state: "paused")
    end

    assert_nil round(channel)
    assert_equal %w[handed_over queued], states(first, second)
  end

  def test_one_process_at_a_time
    one = to_leave
    elsewhere do |other|
      other.get(Sequel.function(:pg_advisory_lock, Outbox::Round::LOCK_SPACE, @batch.id))

      assert_equal NOW + Outbox::Round::BUSY_SECONDS, round
      assert_equal %w[queued], states(one)
      other.get(Sequel.function(:pg_advisory_unlock, Outbox::Round::LOCK_SPACE, @batch.id))
    end

    assert_nil round
    assert_equal %w[handed_over], states(one)
  end

  def elsewhere(&)
    Sequel.connect(TestDatabase.url, test: false, keep_reference: false, &)
  end

  def test_another_batch_is_left_alone
    other = to_leave
    other.update(batch_id: Models::Batch.create(until_on: today, created_by: owner.id, created_at: NOW).id)

    assert_nil round
    assert_equal %w[queued], states(other)
  end
end
