# frozen_string_literal: true

require_relative "../test_helper"

# A card names each task with its machine, its date, whether it is late, and its price.
class LettersTest < DatabaseTest
  # @return [Models::Card] that names these tasks of the machines
  def card(*dues)
    written = write_card(dues.first.machine.customer)
    @attempt = @attempt.to_i + 1 # a task is named once in each attempt
    dues.each do |due|
      Models::CardLine.create(card_id: written.id, due_id: due.id, attempt: @attempt, leaves_on: today,
        price_cents: 1250)
    end
    written
  end

  def due(machine, action, on: today + 3, position: "pre-filter")
    running = Models::Due.running.where(machine_id: machine.id)
    Services::BeginClocks.call([machine], { machine.id => today - 400 }, on: today) if running.empty?
    running.first(action: action, position: position).tap do |due|
      due.update(due_on: on, early_on: on - 5, late_on: on + 5)
    end
  end

  def lines(card)
    Outbox::Letters.of(card).lines
  end

  # A customer with two machines of one model reads each with its serial number; with one, the model alone.
  def test_two_machines_of_one_model_are_told_apart
    first = new_machine
    other = Services::AddMachine.call(first.customer, sheet_id: first.sheet_id, serial_number: "T-2", by: owner,
      at: NOW)
    one = due(first, "replace")

    assert_equal ["Hallmoor Dart M"], lines(card(one)).map(&:machine)
    assert_equal ["Hallmoor Dart M #{first.serial_number}", "Hallmoor Dart M T-2"],
      lines(card(one, due(other, "replace", on: today + 4))).map(&:machine)
    other.update(serial_number: nil)

    assert_equal ["Hallmoor Dart M #{first.serial_number}", "Hallmoor Dart M"],
      lines(card(one, due(other, "replace", on: today + 4))).map(&:machine)
  end

  # Late is what was due before the day on which the shop wrote the card, however long the card lies there.
  def test_late_is_what_was_due_before_the_card_was_written
    machine = new_machine
    late = [today - 1, today, today + 1].map { |on| lines(card(due(machine, "replace", on: on))).map(&:overdue) }

    assert_equal [[true], [false], [false]], late
    older = card(due(machine, "replace", on: today - 1))
    older.update(created_at: NOW - (5 * 86_400))

    assert_equal [false], lines(older).map(&:overdue)
  end

  def test_a_price_stands_only_beside_a_part_that_is_replaced
    machine = new_machine

    assert_equal [["replace", 1250]], said(card(due(machine, "replace")))
    assert_equal [["wash", nil]], said(card(due(machine, "wash", position: "post-filter")))
  end

  def said(card)
    lines(card).map { |line| [line.action.to_s, line.price_cents] }
  end

  # The card does not ask to wash a filter that it asks to replace, nor for a task that somebody took off it.
  def test_what_another_task_does_is_not_said_beside_it
    machine = new_machine
    both = card(due(machine, "wash"), due(machine, "replace"))

    assert_equal(%w[replace], lines(both).map { |line| line.action.to_s })
    both.lines_dataset.where(due_id: Models::Due.where(action: "replace").select(:id)).update(void: true)

    assert_equal(%w[wash], lines(both.refresh).map { |line| line.action.to_s })
  end

  # The card begins with the soonest task, in whatever order they were written down. It gives its own date to a task
  # that has none, and puts it last.
  def test_the_soonest_first
    machine = new_machine
    later = due(machine, "replace", on: today + 9)
    sooner = due(machine, "wash", on: today + 2, position: "post-filter")

    assert_equal [today + 2, today + 9], lines(card(later, sooner)).map(&:due_on)
    sooner.update(due_on: nil, early_on: nil, late_on: nil)

    assert_equal [today + 9, today], lines(card(sooner, later)).map(&:due_on)
  end

  # The code in the link names this card, and is refused after its last day.
  def test_its_link_opens_its_own_page
    one = card(due(new_machine, "replace"))
    code = Outbox::Letters.link(one).split("/").last

    assert_equal one.id, Outbox::Letters.codes.read(code, today: one.code_expires_on)
    assert_raises(Formats::SignedCode::NotOurs) { Outbox::Letters.codes.read(code, today: one.code_expires_on + 1) }
  end
end
