# frozen_string_literal: true

require_relative "../test_helper"

# What the customer brought along is fitted without a price; the rest of it is counted and goes back.
class BroughtTest < DatabaseTest
  def setup
    @job = take_in(new_machine("Brackwater Loft K"), accessories: { "bags" => 3 })
    @place = @job.sheet.walk.find { |place| place.kind == :bag }.key
    record(@job, @place, { fill_percent: 90 })
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
    @item = item(@job, @place)
  end

  def work
    Services::Settle.call(@job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    @job.work_items_dataset.each do |item|
      Services::DoWorkItem.call(@job.number, item.id, by: technician, at: NOW) if item.to_do?
    end
    close_job(@job)
  end

  def bring
    Services::ChoosePart.call(@job.number, @item.id, choice: "brought", by: technician, at: NOW)
  end

  def test_one_of_three_bags_is_fitted_and_two_go_back
    bring

    assert_empty(Services::Quotes.of(@job, [@item.refresh]).lines.select { |line| line.kind == :part })
    work
    here = Models::Fitting.in_place.first(machine_id: @job.machine_id, position: @place)

    assert_equal [nil, today], here.values.values_at(:part_id, :fitted_on)
    assert_equal today, Models::Due.running.first(machine_id: @job.machine_id, position: @place, action: "replace")
      .started_on
    error = assert_raises(Services::Invalid) { hand_over("bags" => 1) }
    assert_match(/bags/, error.message)
    hand_over("bags" => 2)

    assert_equal "handed_over", @job.refresh.state
  end

  def test_no_more_are_planned_than_came
    Models::Accessory.where(job_id: @job.id).update(pieces_in: 1)
    bring
    bring
    other = Models::WorkItem.create(job_id: @job.id, position: "hose", action: "clean", sequence: 9, minutes: 1,
      reason: "x")
    other.update(action: "replace", own_spare: true, brought: true, accessory_id: @item.refresh.accessory_id)
    assert_raises(Services::Refused) { bring }
  end

  def test_a_change_of_mind
    bring
    best = Services::FitFor.new(@job.sheet, @job.machine, today: today, job: @job).call([@place]).fetch(@place)
      .candidates.first.part.id
    Services::ChoosePart.call(@job.number, @item.id, choice: best.to_s, by: technician, at: NOW)

    assert_equal [best, false, nil], @item.refresh.values.values_at(:part_id, :brought, :accessory_id)
  end

  def hand_over(out)
    Services::HandOver.call(@job.number, counted_out: out, by: owner, at: NOW)
  end
end
