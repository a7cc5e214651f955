# frozen_string_literal: true

require_relative "../test_helper"

# How long work took, from what was pressed.
class MinutesTakenTest < DatabaseTest
  def do_it(job, position, at)
    Services::DoWorkItem.call(job.number, item(job, position).id, by: technician, at: at).refresh.took_minutes
  end

  def job
    settled({ "neck" => { state: "partly" }, "wand" => { state: "partly" } })
  end

  def test_from_one_press_to_the_next_of_the_same_person
    first = job

    assert_in_delta 6.0, do_it(first, "neck", NOW + 360)
    assert_in_delta 4.0, do_it(first, "wand", NOW + 600)
  end

  # Another machine comes between: that is that machine's time.
  def test_whoever_goes_to_another_machine_pauses_this_one
    first, second = Array.new(2) { job }
    do_it(first, "neck", NOW + 300)
    do_it(second, "neck", NOW + 900)

    assert_in_delta 5.0, do_it(first, "wand", NOW + 1200)
  end

  def test_who_was_called_away_or_presses_all_at_once_says_nothing
    first = job

    assert_nil do_it(first, "neck", NOW + (4 * 3600))
    assert_nil do_it(first, "wand", NOW + (4 * 3600) + 5)
  end

  def test_undone_it_took_nothing
    first = job
    do_it(first, "neck", NOW + 360)
    Services::UndoWorkItem.call(first.number, item(first, "neck").id, by: technician, at: NOW + 400)

    assert_nil item(first, "neck").took_minutes
  end

  def test_the_median_stands_on_the_sheet_once_there_are_enough
    taken = -> { Queries::MinutesTaken.call(sheet("Hallmoor Dart M")).fetch("neck", []).map(&:to_a) }
    Models::WorkItem.where(position: "neck").update(took_minutes: nil)
    [2, 5, 9].each_with_index do |minutes, index|
      at = NOW + (index * 7200)
      one = settled({ "neck" => { state: "partly" } }, at: at)

      assert_empty taken.call
      do_it(one, "neck", at + (minutes * 60))
    end

    place, action, minutes, times = taken.call.first

    assert_equal ["neck", "clean", 3], [place, action, times]
    assert_in_delta 5.0, minutes
  end
end
