# frozen_string_literal: true

require_relative "../test_helper"

# The line of a machine's life, place by place, and the labels of what was fitted.
class MachineQueriesTest < DatabaseTest
  def life(machine, dues: [])
    Queries::MachineLife.new(machine, dues: dues)
  end

  def place(machine, key, **more)
    name = machine.to_core.position(key).name
    life(machine, **more).places.find { |one| one.name == name }
  end

  def found(job, position, verdict)
    record(job, position, {}, verdict: verdict)
  end

  # A part that was left alone is no event; one that is to be done is, with the day and the reason.
  def test_what_was_left_alone_is_not_drawn
    machine = new_machine
    job = take_in(machine)
    found(job, "cones", :leave)
    found(job, "screen", :clean)

    assert_empty Array(place(machine, "cones")&.found)
    assert_equal [[today, "found: #{Models::Finding.first(job_id: job.id, position: 'screen').reason}"]],
      place(machine, "screen").found
  end

  # A new part begins a bar of its own; what was washed or cleaned has a mark.
  def test_a_new_part_is_a_bar_and_no_mark
    machine = new_machine
    job = settled({ "pre-filter" => { torn: true }, "screen" => { state: "clogged" } }, machine: machine)
    do_all(job)
    close_job(job, wet_reason: "it dries at home")
    done = place(machine, "screen").done

    assert_equal [today], done.map(&:first)
    assert_match(/ done\z/, done.first.last)
    assert_empty place(machine, "pre-filter").done
    assert_equal [today], place(machine, "pre-filter").fitted.map(&:first).compact - [today - 400]
  end

  # The line shows the soonest of several tasks at a place, and never one without a date.
  def test_what_is_due_first_at_a_place
    machine = new_machine
    Services::BeginClocks.call([machine], { machine.id => today - 400 }, on: today)
    dues = Queries::MachineDues.call(machine.id)
    of_filter = dues.select { |due| due.position == "pre-filter" && due.due_on }

    assert_operator of_filter.size, :>, 1
    assert_equal of_filter.map(&:due_on).min, place(machine, "pre-filter", dues: dues).due.first
    assert_equal dues.filter_map(&:due_on), dues.filter_map(&:due_on).sort
    assert(dues.drop_while(&:due_on).none?(&:due_on), "those without a date come last")
    of_filter.each { |due| due.due_on = nil }

    assert_nil place(machine, "pre-filter", dues: of_filter)&.due
  end

  def test_a_place_at_which_nothing_was_and_will_be_is_not_listed
    machine = new_machine(bought_on: nil)
    DB[:fittings].where(machine_id: machine.id).delete

    assert_empty life(machine).places
    assert_empty life(machine).jobs
  end

  # The label shows a day only while a task to replace that part runs, and names a machine without a serial no. by its
  # model.
  def test_a_label_says_when_what_was_fitted_is_due_again
    job = settled({ "pre-filter" => { torn: true } })
    do_all(job)
    close_job(job)
    due = Models::Due.running.first(machine_id: job.machine_id, position: "pre-filter", action: "replace")
    job.machine.update(serial_number: nil)
    label = Queries::FilterLabels.new(job.refresh).call.find { |one| one[:part] == "Pre-motor filter" }

    assert_equal ["Hallmoor Dart M", today, due.due_on, "M#{job.machine_id}"],
      label.values_at(:machine, :fitted_on, :due_on, :code)
    due.update(state: "done", closed_on: today)

    assert_nil Queries::FilterLabels.new(job).call.find { |one| one[:part] == "Pre-motor filter" }[:due_on]
    assert_empty Queries::FilterLabels.new(take_in).call
  end
end
