# frozen_string_literal: true

require_relative "../test_helper"

# Dates follow what they rest on; what they were, and why they moved, is kept.
class RecomputeTest < DatabaseTest
  def setup
    @machine = new_machine("Brackwater Loft K")
    @machine.update(hours_per_week: 1)
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: today)
  end

  def due
    Models::Due.running.first(machine_id: @machine.id, position: "exhaust-filter", action: "replace")
  end

  def changes
    Models::DueChange.where(due_id: due.id).order(:id).map { |change| [change.was_on, change.now_on, change.reason] }
  end

  def test_another_use_told_at_the_counter_moves_the_dates_at_once
    job = take_in(@machine, use: { hours_per_week: 10 })

    assert_equal today + 33, due.due_on
    assert_equal [[today + 330, today + 33, "its use was told anew at job #{job.number}"]], changes
  end

  # Read at 40 % after 100 days, the strip says 250 days from the start, and goes on saying so when the use is told
  # anew.
  def test_a_strip_that_was_read_counts_until_the_part_is_changed
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: today - 100)
    job = take_in(@machine, use: { hours_per_week: 1 })
    record(job, "exhaust-filter", { indicator_percent: 40 })
    Services::SetClocks.again([@machine], on: today, why: "read")
    job.refresh.update(state: "handed_over")
    take_in(@machine, use: { hours_per_week: 0.5 })

    assert_equal [today + 150, "indicator"], [due.due_on, due.deciding]
    Services::SetClocks.call(@machine, done: { "exhaust-filter" => %i[replace] }, on: today)

    refute_equal "indicator", due.deciding
  end

  def test_the_same_use_moves_nothing
    take_in(@machine, use: { hours_per_week: 1 })

    assert_empty changes
  end

  def test_a_machine_without_clocks_gets_none_at_the_counter
    other = new_machine
    take_in(other, use: { hours_per_week: 5 })

    assert_equal 0, Models::Due.where(machine_id: other.id).count
  end

  # Half the hours in the sheet are half the time; a place that is gone is followed no longer.
  def test_a_new_version_of_the_sheet_moves_every_machine_of_the_model
    content = Models::SheetVersion.with_pk!(@machine.sheet.current_version_id).content.to_hash
    halved = JSON.parse(JSON.generate(content).gsub('"kind":"hours","limit":50', '"kind":"hours","limit":25'))
    halved.delete("kits")
    halved = Core::Sheets::Edit.new(halved).take_out("positions", "motor-filter")
    Services::AddSheet.call(halved, by: owner, at: NOW, sheet: @machine.sheet)
    work

    assert_equal [today + 165, "version 2 of its sheet"], [due.due_on, changes.last.last]
    assert_equal ["ended"], Models::Due.where(machine_id: @machine.id, position: "motor-filter").select_map(:state).uniq
  end

  def test_another_policy_moves_every_machine_that_it_is_about_and_shows_how_far_it_is
    @machine.update(traits: Sequel.pg_array(["pets"], :text))
    Services::SetClocks.again([@machine], on: today, why: "pets")
    wash = Models::Due.running.where(machine_id: new_machine("Hallmoor Dart M").id)
    Services::SavePolicies.call({ "pets_percent" => 50 }, by: owner, at: NOW)
    asked = Models::Recompute.order(:id).last

    assert_equal [nil, 0, nil], asked.values.values_at(:machines, :done, :finished_at)
    work

    assert_equal asked.refresh.machines, asked.done
    refute_nil asked.finished_at
    moved = Models::Due.running.where(machine_id: @machine.id,
      id: Models::DueChange.where(reason: asked.reason).select(:due_id))

    assert_match(/× 0.5 \(pets/, English::Sentences.row_of(moved.first.why))
    assert_equal 0, wash.count
    Services::SavePolicies.call({ "pets_percent" => 50, "bundle_days" => 30 }, by: owner, at: NOW)

    assert_equal asked.id, Models::Recompute.max(:id), "nothing that dates rest on was changed"
  end

  # Households with pets, and among all the others none whose dates would have moved.
  def test_only_households_that_a_policy_is_about_are_computed_again
    machines = Models::Machine.where(id: Models::Due.running.select(:machine_id)).all
    dates = -> { Models::Due.running.order(:id).select_map(%i[id due_on early_on late_on deciding personal reasons]) }
    everything = -> { Services::SetClocks.again(machines, on: today, why: "all of them") }
    everything.call
    Services::SavePolicies.call({ "pets_percent" => 50, "dust_percent" => 60 }, by: owner, at: NOW)
    work
    after = dates.call
    everything.call

    assert_equal machines.count { |machine| machine.traits.to_a.intersect?(%w[pets dust]) },
      Models::Recompute.order(:id).last.done
    assert_equal after, dates.call
  end

  # A sheet may forget a place and name it again: what was ended stays, and the next cycle begins.
  def test_a_place_that_is_named_again_goes_on_counting_its_cycles
    running = Models::Due.running.where(machine_id: @machine.id, position: "motor-filter")
    running.update(state: "ended", closed_on: today)
    Services::SetClocks.call(@machine, on: today)

    assert_equal [2], running.select_map(:cycle).uniq
  end

  def test_what_is_as_it_was_is_not_written_again
    @machine.update(traits: Sequel.pg_array(["pets"], :text))
    Services::SetClocks.again([@machine], on: today, why: "pets")
    Models::Due.dataset.update(computed_on: today - 9)
    Services::SetClocks.again([@machine], on: today, why: "nothing changed")

    assert_equal [today - 9], Models::Due.running.where(machine_id: @machine.id).select_map(:computed_on).uniq
    assert_nil Services::SetClocks.again([], on: today, why: "nobody")
  end

  def test_words_are_written_also_where_no_date_moves
    Services::SavePolicies.call({ "pets_percent" => 80, "dust_percent" => 80 }, by: owner, at: NOW)
    %w[pets dust].each do |trait|
      @machine.update(traits: Sequel.pg_array([trait], :text))
      Services::SetClocks.again([@machine], on: today, why: trait)
    end
    shortened = Models::Due.running.where(machine_id: @machine.id).all.map { |due| English::Sentences.row_of(due.why) }
      .grep(/× 0.8 /)

    refute_empty shortened
    assert_empty shortened.grep_v(/building dust/)
    assert_equal 0, Models::DueChange.where(reason: "dust").count
  end

  # The slices as the worker takes them, and as one process would.
  def test_in_slices_it_is_the_same_as_one_by_one
    machines = Models::Machine.where(id: Models::Due.running.select(:machine_id)).order(:id).limit(25).all
    dates = lambda {
      Models::Due.running.where(machine_id: machines.map(&:id)).order(:id)
        .select_map(%i[id due_on early_on late_on deciding personal])
    }
    DB.transaction(savepoint: true, rollback: :always) do
      machines.each { |machine| Services::SetClocks.again([machine], on: today + 3, why: "one by one") }
      @one_by_one = dates.call
    end
    Services::SetClocks.again(machines, on: today + 3, why: "together")

    assert_equal @one_by_one, dates.call
  end

  # Kept beside the findings, it says what they say, also after one was changed and one was cleared.
  def test_what_was_learned_is_what_the_findings_say
    job = take_in(@machine)
    record(job, "exhaust-filter", { indicator_percent: 40 })
    record(job, "exhaust-filter", { indicator_percent: 60 }, version: 1)
    record(job, "motor-filter", { grey: 3 })
    record(job, "motor-filter", {}, version: 1)
    kept = Models::WearHistory.order(:machine_id, :position).map(&:values)
    Models::WearHistory.dataset.delete
    Models::WearHistory.draw(Models::Finding.dataset)

    assert_equal Models::WearHistory.order(:machine_id, :position).map(&:values), kept
    assert_equal 60, Models::WearHistory.first(machine_id: @machine.id, position: "exhaust-filter").strip_percent
  end

  # What the worker would do with what is asked of it.
  def work
    [Services::RecomputeDues::Plan, Services::RecomputeDues::Slice].each do |job|
      DB[:que_jobs].where(job_class: job.name).order(:id).select_map(%i[args id]).each do |args, id|
        DB[:que_jobs].where(id: id).delete
        job.allocate.tap { |one| one.define_singleton_method(:finish) { nil } }.run(*args)
      end
    end
  end

  def test_what_was_is_never_rewritten
    take_in(@machine, use: { hours_per_week: 10 })

    assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true) { Models::DueChange.dataset.update(reason: "x") } }
  end
end

# The counter and the worker at once.
class RecomputeAtOnceTest < CommittedTest
  # The worker waits for the counter, and computes by what was told.
  def test_another_use_told_meanwhile_is_not_overwritten
    machine = new_machine("Brackwater Loft K")
    machine.update(hours_per_week: 1, traits: Sequel.pg_array(["pets"], :text))
    Services::SetClocks.call(machine, done: { "exhaust-filter" => %i[replace] }, on: today)
    Services::SavePolicies.call({ "pets_percent" => 50 }, by: owner, at: NOW)
    asked = Models::Recompute.order(:id).last.tap { |one| one.update(machines: 1) }
    worker = nil
    DB.transaction do
      machine.update(hours_per_week: 10)
      Services::SetClocks.again([machine], on: today, why: "told")
      worker = Thread.new do
        DB.transaction { Services::RecomputeDues.slice(asked, machine.id, machine.id, 1, at: NOW) }
      end
      sleep 0.3
    end
    worker.join
    before = dates(machine)
    Services::SetClocks.again([machine.refresh], on: today, why: "once more")

    assert_equal dates(machine), before
    assert_equal 1, asked.refresh.done
  end

  private

  def dates(machine)
    Models::Due.running.where(machine_id: machine.id).order(:id).select_map(%i[id due_on early_on late_on])
  end
end
