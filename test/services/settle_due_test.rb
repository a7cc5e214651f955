# frozen_string_literal: true

require_relative "../test_helper"

# Nothing overdue leaves the shop unsettled.
class SettleDueTest < DatabaseTest
  def setup
    super
    @machine = new_machine(bought_on: today - 400)
    @job = take_in(@machine)
  end

  def look_over(findings)
    findings.each { |position, observed| record(@job, position, observed) }
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
    @job.refresh
  end

  def rows
    Services::DuesAtJob.call(@job.refresh, at: NOW).to_h { |row| [[row.place.key, row.task.key], row] }
  end

  def say(position, task, choice)
    Services::SettleDue.call(@job.number, position, task, choice: choice, by: technician, at: NOW)
  end

  def agree
    Services::Settle.call(@job.number, agreed_name: "Wendel", agreed_how: "phone", warranty_name: "Wendel",
      by: technician, at: NOW)
  end

  def hand_back
    agree
    do_all(@job)
    close_job(@job, wet_reason: "trial")
    Models::Due.running.where(machine_id: @machine.id).all.to_h { |due| [[due.position, due.task], due] }
  end

  # A first job: nothing runs yet, and it is reckoned from the day it was bought.
  def test_on_a_first_job_too
    look_over("wand" => { state: "clear" })

    assert_equal [:expired, @machine.bought_on >> 12],
      rows.fetch(%w[roll replace]).then { |row| [row.outlook.state, row.due_on] }
  end

  # Found as well, and left: the page does not ask about it a second time, and agreeing names it all the same.
  def test_what_is_left_already_is_not_asked_about_again
    look_over("roll" => { turns: "free", bristles: "worn" })
    Services::ChoosePart.call(@job.number, item(@job, "roll").id, choice: "leave", by: technician, at: NOW)
    asked, there = %i[dues_to_ask dues_to_settle].map { |rows| page.public_send(rows).map { |row| row.place.key } }

    assert_includes there, "roll"
    refute_includes asked, "roll"
    agree

    assert_includes page.left_places, "roll"
  end

  def page
    Queries::JobPage.new(@job.refresh, now: NOW, policies: Services::Policies.now)
  end

  def test_what_was_found_moves_it_before_it_is_asked_about
    look_over("roll" => { turns: "free", bristles: "full" })

    refute rows.key?(%w[roll replace])
    refute_includes rows.keys.map(&:first), "roll"
  end

  def test_done_now
    look_over("wand" => { state: "clear" })
    say("roll", "replace", "now")
    todo = item(@job, "roll")

    assert_equal ["replace", "to_do", "Its time is up: due #{Core::Units::Day.words(@machine.bought_on >> 12)}."],
      todo.values.values_at(:action, :state, :reason)
    refute_nil todo.part_id, "what lies on the shelf is proposed"
    refute rows.key?(%w[roll replace])
    assert_equal today, hand_back.fetch(%w[roll replace]).started_on
  end

  # What was found asks for less than the clock: the stronger is done, once.
  def test_the_stronger_of_two_is_done
    look_over("roll" => { turns: "drags" })

    assert_equal "clean", item(@job, "roll").action
    say("roll", "replace", "now")

    assert_equal ["replace"], Models::WorkItem.where(job_id: @job.id, position: "roll").select_map(:action)
  end

  def test_still_good_moves_the_date_and_says_why
    look_over("wand" => { state: "clear" })
    say("roll", "replace", "good")
    due = hand_back.fetch(%w[roll replace])

    assert_operator due.due_on, :>, today + 200
    assert_match(/found 25 % gone/, English::Sentences.of(due.why.first))
  end

  def test_a_fixed_limit_is_never_still_good
    look_over("wand" => { state: "clear" })
    fixed = rows.values.find { |row| row.outlook.state == :expired && row.outlook.fixed? }

    assert_raises(Services::Refused) { say(fixed.place.key, fixed.task.key, "good") }
    assert_raises(Services::NotFound) { say("roll", "nothing", "now") }
    assert_raises(Services::Refused) { say(fixed.place.key, fixed.task.key, "perhaps") }
  end

  # The customer leaves what was not chosen: it is named, and no card tells them within the quiet time.
  def test_what_is_not_chosen_is_left_by_the_customer
    look_over("wand" => { state: "clear" })
    hand_back

    assert_equal "left", Models::SettledDue.where(job_id: @job.id, position: "roll", task: "replace").get(:choice)
    assert_empty rows.values.reject { |row| row.outlook.state != :expired || row.choice == "left" }
  end

  # A change of mind, twice.
  def test_left_after_all_and_done_after_all
    look_over("wand" => { state: "clear" })
    say("roll", "replace", "now")
    choose = ->(choice) { Services::ChoosePart.call(@job.number, item(@job, "roll").id, choice: choice, by: technician, at: NOW) }
    choose.call("leave")

    assert_equal "left", Models::SettledDue.where(job_id: @job.id, position: "roll").get(:choice)
    Services::UndoWorkItem.call(@job.number, item(@job, "roll").id, by: technician, at: NOW)
    record(@job, "neck", { state: "clear" })

    assert_equal %w[replace to_do], item(@job, "roll").values.values_at(:action, :state)
  end

  def test_what_nobody_knows_is_not_overdue
    @machine = new_machine(bought_on: nil)
    @job = take_in(@machine)
    look_over("wand" => { state: "clear" })

    assert_includes rows.values.map { |row| row.outlook.state }, :unknown
    refute_includes rows.values.map { |row| row.outlook.state }, :expired
  end

  def test_nothing_is_said_once_it_is_closed_up
    look_over("wand" => { state: "clear" })
    hand_back

    assert_raises(Services::Refused) { say("roll", "replace", "now") }
  end
end
