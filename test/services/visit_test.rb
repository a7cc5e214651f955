# frozen_string_literal: true

require_relative "../test_helper"

# A visit through the services: what each step changes, and what it refuses.
class VisitTest < DatabaseTest
  def test_taking_in_twice_with_one_key_is_once
    machine = new_machine
    key = SecureRandom.uuid

    assert_equal take_in(machine, request_key: key), take_in(machine, request_key: key)
  end

  def test_one_open_job_per_machine
    job = take_in

    assert_match(/on the bench already, as job #{job.number}/,
      assert_raises(Services::Refused) { take_in(job.machine) }.message)
  end

  def test_the_database_itself_refuses_a_second_open_job
    job = take_in
    copy = job.values.except(:id, :number).merge(request_key: SecureRandom.uuid)

    assert_raises(Sequel::UniqueConstraintViolation) { DB.transaction(savepoint: true) { Models::Job.insert(copy) } }
  end

  def test_a_finding_is_kept_with_its_verdict_and_who
    finding = record(take_in, "pre-filter", { grey: 5 })

    assert_equal ["wash", "dark_washable", technician.id], [finding.verdict, finding.clause, finding.found_by]
  end

  def test_a_second_saver_is_told_and_overwrites_nothing
    job = take_in
    record(job, "pre-filter", { grey: 5 })

    error = assert_raises(Services::Stale) { record(job, "pre-filter", { grey: 0 }) }
    assert_match(/#{technician.name}.*not saved/, error.message)
    assert_equal({ grey: 5 }, Models::Finding.first(job_id: job.id).seen)
  end

  def test_an_own_verdict_wins_and_keeps_the_rules_answer
    finding = record(take_in, "pre-filter", { grey: 1 }, verdict: :replace)

    assert_equal "replace", finding.verdict
    assert_match(/Marked by #{technician.name}. The rule says clean/, finding.reason)
  end

  # Water only where the part says so.
  def test_what_must_not_be_wetted_cannot_be_marked_for_a_wash
    job = take_in(new_machine("Brackwater Loft K"))

    assert_match(/must not be wetted/, assert_raises(Services::Refused) do
      record(job, "motor-filter", { grey: 5 }, verdict: :wash)
    end.message)
    assert_empty Models::Finding.where(job_id: job.id)
    assert_equal "wash", record(take_in, "pre-filter", { grey: 1 }, verdict: :wash).verdict
  end

  def test_clearing_everything_takes_the_finding_away
    job = take_in
    record(job, "pre-filter", { grey: 1 })

    assert_nil record(job, "pre-filter", {}, version: 1)
    assert_empty Models::Finding.where(job_id: job.id)
  end

  def test_a_place_of_another_sheet_is_refused
    assert_raises(Services::NotFound) { record(take_in, "brush-front", { standout_mm: 3 }) }
  end

  def test_a_stop_blocks_all_other_work_until_somebody_writes_what_was_done
    job = settled({ "battery" => { state: "swollen" }, "pre-filter" => { grey: 5 } })
    wash = item(job, "pre-filter")

    assert_match(/Stop/, assert_raises(Services::Refused) do
      Services::DoWorkItem.call(job.number, wash.id, by: technician, at: NOW)
    end.message)
    stop = Models::Stop.standing.first(job_id: job.id)
    assert_raises(Services::Invalid) { Services::ClearStop.call(job.number, stop.id, note: " ", by: owner, at: NOW) }
    Services::ClearStop.call(job.number, stop.id, note: "pack taken to the collection point", by: owner, at: NOW)

    assert_equal "done", Services::DoWorkItem.call(job.number, wash.id, by: technician, at: NOW).state
    assert_equal owner.id, stop.refresh.cleared_by
  end

  def test_the_best_part_on_the_shelf_is_proposed
    job = settled({ "post-filter" => { torn: true } })

    assert_equal "HD-2020", item(job, "post-filter").part.number
  end

  def test_a_look_alike_is_refused_with_the_reason
    job = settled({ "post-filter" => { torn: true } })
    error = assert_raises(Services::Refused) do
      Services::ChoosePart.call(job.number, item(job, "post-filter").id, choice: part("HD-3020").id.to_s,
        by: technician, at: NOW)
    end

    assert_match(/does not fit: has no twist lock/, error.message)
  end

  def test_stock_falls_when_a_part_is_used_and_comes_back_when_undone
    job = settled({ "post-filter" => { torn: true } })
    used = item(job, "post-filter")
    before = used.part.stock
    Services::DoWorkItem.call(job.number, used.id, by: technician, at: NOW)
    Services::DoWorkItem.call(job.number, used.id, by: technician, at: NOW)

    assert_equal before - 1, Models::StockLevel[used.part_id].pieces
    Services::UndoWorkItem.call(job.number, used.id, by: technician, at: NOW)

    assert_equal before, Models::StockLevel[used.part_id].pieces
    assert_equal before, Models::StockMove.where(part_id: used.part_id).sum(:pieces)
  end

  def test_an_empty_shelf_refuses_and_moves_nothing
    Services::CountStock.call(part("HD-2041"), pieces: 5, reason: "found", by: owner, at: NOW)
    job = settled({ "cyclone-gasket" => { state: "torn" } })
    gasket = item(job, "cyclone-gasket")
    Services::CountStock.call(gasket.part, pieces: 0, reason: "lost", by: owner, at: NOW)

    assert_match(/left on the shelf/, assert_raises(Services::Refused) do
      Services::DoWorkItem.call(job.number, gasket.id, by: technician, at: NOW)
    end.message)
    assert_equal "to_do", gasket.refresh.state
  end

  # Common practice: 24 h for the foam by its sheet, in a room at 21 °C and 50 %.
  def test_a_washed_part_takes_a_place_with_its_clock
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    stay = item(job, "pre-filter").on_rack

    assert_in_delta 24 * 3600, stay.dry_at - NOW, 1
    assert_operator stay.ready_at, :>=, stay.dry_at
    assert_equal "waiting", job.refresh.state
  end

  def test_closing_with_a_wet_part_is_refused_unless_somebody_says_why
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)

    assert_match(/Still wet: pre-motor filter/, assert_raises(Services::Refused) do
      close_job(job, at: NOW + 60)
    end.message)
    close_job(job, at: NOW + 60,
      wet_reason: "customer leaves on the ferry, will dry it there")

    assert_equal ["closed_up", technician.id], job.refresh.values.values_at(:state, :wet_by)
    assert_match(/ferry/, Models::RackStay.first(work_item_id: item(job, "pre-filter").id).early_reason)
  end

  def test_a_part_taken_off_wet_before_is_told_at_the_closing
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    Services::TakeOffRack.call(item(job, "pre-filter").on_rack.id, by: owner, at: NOW + 60,
      early_reason: "needed for the ferry")
    close_job(job, at: NOW + 120)

    assert_equal ["needed for the ferry", owner.id], job.refresh.values.values_at(:wet_reason, :wet_by)
  end

  def test_a_part_taken_off_early_that_has_dried_since_is_no_wet_part
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    Services::TakeOffRack.call(item(job, "pre-filter").on_rack.id, by: owner, at: NOW + 60,
      early_reason: "to the other rack")
    close_job(job, at: NOW + (25 * 3600))

    assert_nil job.refresh.wet_reason
  end

  def test_closing_with_something_to_do_is_refused
    job = settled({ "pre-filter" => { grey: 5 }, "roll" => { turns: "drags" } })

    assert_match(/Still to do: brush roll, pre-motor filter/,
      assert_raises(Services::Refused) { close_job(job) }.message)
  end

  def test_a_washed_part_still_grey_is_replaced_after_all
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    record(job, "pre-filter", { grey: 4, after_wash: true }, version: 1)

    assert_equal %w[replace to_do], item(job, "pre-filter").values.values_at(:action, :state)
  end

  def test_closing_up_dates_fittings_counts_washes_and_sets_the_clocks
    machine = new_machine
    job = settled({ "pre-filter" => { grey: 5 }, "roll" => { turns: "stuck" }, "post-filter" => { torn: true } },
      machine: machine)
    do_all(job)
    done = NOW + (30 * 3600)
    close_job(job, at: done)
    on = Config::Zone.date(done)

    assert_equal [1, today - 400], Models::Fitting.in_place.first(machine_id: machine.id, position: "pre-filter")
      .values.values_at(:wash_count, :fitted_on)
    new = Models::Fitting.in_place.first(machine_id: machine.id, position: "post-filter")

    assert_equal [on, part("HD-2020").id], [new.fitted_on, new.part_id]
    assert_equal on, Models::Fitting.exclude(removed_on: nil).first(machine_id: machine.id, position: "post-filter")
      .removed_on
    assert_equal [on >> 24, "months"], due(machine, "post-filter", "replace").values.values_at(:due_on, :deciding)
    assert_equal [on >> 1, on], due(machine, "pre-filter", "wash").values.values_at(:due_on, :started_on)
    assert_equal (today - 400) >> 12, due(machine, "roll", "replace").due_on
  end

  def test_a_strip_reading_becomes_evidence_of_the_use
    machine = new_machine("Brackwater Loft K", bought_on: today - 140)
    job = settled({ "exhaust-filter" => { indicator_percent: 80 } }, machine: machine)
    close_job(job)

    # 40 of 50 hours in 20 weeks, weight 0.7, upon an hour a week said: (8 + 28) / (8 / 1.06 + 14).
    assert_in_delta 36 / ((8 / 1.06) + 14), machine.refresh.use_rate(today).mean, 0.001
    assert_equal (today - 140) + (140 / 0.8).floor, due(machine, "exhaust-filter", "replace").due_on
  end

  def test_unknown_history_is_due_for_a_look_now
    machine = new_machine(bought_on: nil)
    close_job(settled({ "roll" => { turns: "free" } }, machine: machine))

    assert_equal [today, "unknown"], due(machine, "post-filter", "replace").values.values_at(:due_on, :deciding)
  end

  def test_the_spare_is_fitted_in_place_of_a_wash
    job = settled({ "pre-filter" => { grey: 5 } })
    wash = item(job, "pre-filter")
    Services::ChoosePart.call(job.number, wash.id, choice: part("HD-2010").id.to_s, by: technician, at: NOW)

    assert_match(/agree it again/, assert_raises(Services::Refused) { do_all(job) }.message)
    Services::Agree.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)
    do_all(job)

    assert_nil wash.refresh.on_rack
    assert_equal "in_work", job.refresh.state
    assert_equal "closed_up", close_job(job).state
  end

  def test_history_cannot_be_rewritten
    job = take_in

    [Models::Event.where(job_id: job.id), Models::SheetVersion.dataset, Models::StockMove.dataset].each do |rows|
      assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true) { rows.delete } }
    end
    assert_equal technician.id, Models::Event.first(job_id: job.id).person_id
  end

  def test_handing_over_before_closing_is_refused
    assert_raises(Services::Refused) { Services::HandOver.call(take_in.number, by: technician, at: NOW) }
  end

  private

  def due(machine, position, task)
    Models::Due.running.first(machine_id: machine.id, position: position, task: task)
  end
end
