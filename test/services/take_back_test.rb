# frozen_string_literal: true

require_relative "../test_helper"

# What was said too early is taken back in full, and what was called off is charged as far as it was done.
class TakeBackTest < DatabaseTest
  def setup
    @machine = new_machine
    @job = take_in(@machine)
    record(@job, "pre-filter", { torn: true })
    record(@job, "bin-seal", { state: "torn" })
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
  end

  def agree
    Services::Settle.call(@job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
  end

  def close_up
    agree
    @job.work_items_dataset.each do |item|
      Services::DoWorkItem.call(@job.number, item.id, by: technician, at: NOW) if item.to_do?
    end
    close_job(@job)
  end

  def hand_over
    Services::HandOver.call(@job.number, missing_note: "none came", by: owner, at: NOW)
  end

  def take_back(at: NOW, by: owner)
    Services::TakeBack.call(@job.number, reason: "pressed too early", by: by, at: at)
  end

  # All that closing up changes, but for what says that it was opened and ended again.
  def stands
    tables = Services::BeforeCloseUp::COLUMNS.keys.to_h { |name| [name, rows(name).all] }
    { **tables, dues: rows(:dues).where(state: "open").all }
  end

  def rows(table)
    DB[table].where(machine_id: @machine.id).order(:id)
  end

  def test_closed_up_and_taken_back_is_as_if_it_had_not_been
    agree
    before = stands
    @job.work_items_dataset.each { |item| Services::DoWorkItem.call(@job.number, item.id, by: technician, at: NOW) }
    close_job(@job)

    refute_equal before, stands
    take_back

    assert_equal before, stands
    assert_equal ["in_work", nil], @job.refresh.values.values_at(:state, :closed_up_at)
    close_job(@job, at: NOW + 60)

    assert_equal "closed_up", @job.refresh.state
    assert_equal 1, Models::Fitting.in_place.where(machine_id: @machine.id, position: "pre-filter").count
  end

  def test_a_hand_over_taken_back_has_its_bill_credited_and_may_be_handed_over_anew
    close_up
    hand_over
    first = Models::Bill.first(job_id: @job.id)
    take_back

    assert_equal ["closed_up", nil], @job.refresh.values.values_at(:state, :handed_over_at)
    assert_equal 0, Services::Balance.of_job(@job)
    hand_over
    bills = Models::Bill.where(job_id: @job.id).order(:number).all

    assert_equal %w[bill credit bill], bills.map(&:kind)
    assert_equal first.total_cents, bills.last.total_cents
    take_back
    take_back

    assert_equal "in_work", @job.refresh.state
  end

  def test_nothing_is_taken_back_too_late_or_after_the_machine_came_again
    close_up
    hand_over
    assert_raises(Services::Refused) { take_back(at: NOW + (25 * 3600)) }
    take_in(@machine)
    error = assert_raises(Services::Refused) { take_back }

    assert_match(/taken in again/, error.message)
  end

  def test_declined_goes_back_to_where_it_was
    Services::EndEarly.call(@job.number, how: "declined", by: technician, at: NOW)
    hand_over
    take_back
    take_back

    assert_equal "looked_over", @job.refresh.state
    assert_raises(Services::Refused) { take_back }
    assert_raises(Services::Invalid) { Services::TakeBack.call(@job.number, reason: " ", by: owner, at: NOW) }
  end

  def test_called_off_is_charged_as_far_as_it_was_done
    agree
    done, left = @job.work_items_dataset.where(state: "to_do").order(:sequence).first(2)
    Services::DoWorkItem.call(@job.number, done.id, by: technician, at: NOW)
    Services::CallOff.call(@job.number, reason: "bought a new one", by: owner, at: NOW)

    assert_equal %w[done left], [done, left].map { |item| item.refresh.state }
    close_job(@job)
    hand_over
    parts = Models::Bill.first(job_id: @job.id).to_lines.select { |line| line.kind == :part }.map(&:key)

    assert_equal ["#{done.position}/#{done.part_id}"], parts
  end

  def test_called_off_with_nothing_done_goes_back_as_it_is
    @job.refresh.update(look_fee_cents: 2000)
    agree
    Services::CallOff.call(@job.number, reason: "bought a new one", by: owner, at: NOW)

    assert_equal "declined", @job.refresh.state
    hand_over

    assert_equal 2000, Models::Bill.first(job_id: @job.id).net_cents
  end
end
