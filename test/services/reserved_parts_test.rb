# frozen_string_literal: true

require_relative "../test_helper"

# The last piece belongs to whose customer agreed first.
class ReservedPartsTest < DatabaseTest
  def stock(pieces, number = "HD-2010")
    Services::CountStock.call(part(number), pieces: pieces, reason: "counted", by: owner, at: NOW)
  end

  def looked_over
    job = take_in
    record(job, "pre-filter", { torn: true })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::ChoosePart.call(job.number, item(job, "pre-filter").id, choice: part("HD-2010").id.to_s, by: technician,
      at: NOW)
    job.refresh
  end

  def agree(job, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: at)
  end

  def fit_it(job)
    Services::DoWorkItem.call(job.number, item(job, "pre-filter").id, by: technician, at: NOW)
  end

  def setup
    Models::WorkItem.where(part_id: part("HD-2010").id, state: "to_do").delete
    stock(1)
  end

  def test_a_job_that_agreed_keeps_the_last_and_others_see_none_free
    first = looked_over
    agree(first)
    reasons = Services::FitFor.new(sheet("Hallmoor Dart M").to_core, today: today).call(["pre-filter"])
      .fetch("pre-filter")
      .candidates.find { |candidate| candidate.part.number == "HD-2010" }.reasons

    assert_includes reasons, Core::Reason.of(:none_free_on_shelf, reserved: 1, lead_days: part("HD-2010").days_to_come)
    assert_equal [first.number], Services::ReservedParts.claims(part("HD-2010"))
    fit_it(first)

    assert_empty Services::ReservedParts.claims(part("HD-2010"))
  end

  def test_who_agreed_later_waits_and_is_promised_so
    first = looked_over
    second = looked_over
    agree(first)
    agree(second, at: NOW + 60)

    assert_match(/#{part('HD-2010').days_to_come} days until the parts are there/, second.refresh.promise_reason)
    assert_match(/reserved for job #{first.number}/, assert_raises(Services::Refused) { fit_it(second) }.message)
    stock(2)
    fit_it(second)
    fit_it(first)

    assert_equal 0, part("HD-2010").stock
  end

  def test_a_job_sees_its_own_as_free
    first = looked_over
    agree(first)
    answer = Services::FitFor.new(first.sheet, first.machine, today: today, job: first).call(["pre-filter"])
      .fetch("pre-filter")

    assert_includes answer.candidates.find { |candidate| candidate.part.number == "HD-2010" }.reasons,
      Core::Reason.of(:on_shelf, stock: 1)
  end

  def test_a_job_that_declines_keeps_nothing
    first = looked_over
    agree(first)
    first.refresh.update(state: "declined")

    assert_empty Services::ReservedParts.claims(part("HD-2010"))
  end
end
