# frozen_string_literal: true

require_relative "../test_helper"

# What is found at the visits moves the next date of that place in that machine.
class PersonalFactorTest < DatabaseTest
  DAY = 86_400

  def setup
    @machine = new_machine("Brackwater Loft K", bought_on: today - 2000)
    @at = NOW - (900 * DAY)
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: date)
  end

  def date
    Config::Zone.date(@at)
  end

  def due
    Models::Due.running.first(machine_id: @machine.id, position: "exhaust-filter", action: "replace")
  end

  # So many days later the strip stands there; the cassette is changed.
  def visit(days, strip)
    @at += days * DAY
    job = take_in(@machine, at: @at)
    record(job, "exhaust-filter", { indicator_percent: strip }, at: @at, verdict: :replace)
    found = Models::Finding.first(job_id: job.id)
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: date)
    job.update(state: "handed_over", handed_over_at: @at)
    found
  end

  def interval
    (due.due_on - due.started_on).to_i
  end

  def test_found_dirtier_than_expected_the_next_is_due_sooner
    whole = interval
    visit(whole / 2, 100) # twice as far gone as the clock says

    assert_in_delta 2**(1 / 3.0), due.personal.to_f, 0.02
    assert_in_delta whole / (2**(1 / 3.0)), interval, 5
    assert_match(/found further gone than expected in 1 job/, English::Sentences.row_of(due.why))
  end

  # What was predicted is compared as it would be without what was learned, or the same dirt would count less each time.
  def test_the_same_again_is_learned_further
    whole = interval
    visit(whole / 2, 100)
    second = visit(whole / 2, 100)

    assert_in_delta 0.5, second.wear_expected.to_f, 0.03
    assert_in_delta 2**(2 / 4.0), due.personal.to_f, 0.03
  end
end
