# frozen_string_literal: true

require_relative "../test_helper"

# What is agreed, what may be done upon it, and what must be asked again.
class EstimatesTest < DatabaseTest
  def looked_over(findings = { "pre-filter" => { grey: 5 } }, machine: new_machine)
    job = take_in(machine)
    findings.each { |position, observed| record(job, position, observed) }
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    job.refresh
  end

  def settle(job, **more)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW, **more)
  end

  def choose(job, position, number)
    Services::ChoosePart.call(job.number, item(job, position).id, choice: part(number).id.to_s, by: technician, at: NOW)
  end

  def do_item(job, position)
    Services::DoWorkItem.call(job.number, item(job, position).id, by: technician, at: NOW)
  end

  def agreed(job)
    Services::Quotes.agreed(job)
  end

  # 4 + 3 min in a step of 15 at 60 an hour: 15.00; the roll's price; taxes 15 % and 5 %.
  def test_the_estimate_is_written_down_as_it_was_agreed
    Services::SavePolicies.call({ "labour_tax_percent" => 15.0, "part_tax_percent" => 5.0 }, by: owner, at: NOW)
    job = looked_over({ "pre-filter" => { torn: true } })
    choose(job, "pre-filter", "HD-2010")
    settle(job, call_above_cents: 5000)
    estimate = agreed(job)

    assert_equal [1500, 1650], estimate.to_lines.map(&:price_cents)
    assert_equal [3150, 225 + 82, 3457, 5000], estimate.values.values_at(:net_cents, :tax_cents, :total_cents,
      :call_above_cents)
    assert_equal ["Wendel", technician.id], [estimate.agreed_name, estimate.written_by]
  end

  def test_the_price_agreed_holds_when_it_changes_later
    job = looked_over({ "pre-filter" => { torn: true } })
    choose(job, "pre-filter", "HD-2010")
    settle(job)
    part("HD-2010").update(price_cents: 99_900)

    assert_equal 1650, Services::Quotes.of(job, job.work_items, held: agreed(job)).lines.last.price_cents
    do_item(job, "pre-filter")
  end

  def test_work_that_came_up_is_done_only_when_it_was_agreed_again
    job = looked_over
    settle(job)
    record(job, "roll", { bristles: "missing" })
    choose(job, "roll", "HD-2030")
    do_item(job, "pre-filter")

    assert_match(/Brush roll goes beyond/, assert_raises(Services::Refused) { do_item(job, "roll") }.message)
    Services::Agree.call(job.number, agreed_name: "Wendel", agreed_how: "message", by: technician, at: NOW)
    do_item(job, "roll")

    assert_equal [1, 2], Models::Estimate.where(job_id: job.id).order(:version).select_map(:version)
  end

  def test_below_the_sum_named_nobody_is_called
    job = looked_over
    settle(job, call_above_cents: 8000)
    record(job, "roll", { bristles: "missing" })
    choose(job, "roll", "HD-2030")
    do_item(job, "roll")

    assert_equal "done", item(job, "roll").state
  end

  def test_in_warranty_a_pattern_part_needs_a_name
    job = looked_over({ "pre-filter" => { torn: true } }, machine: new_machine(bought_on: today - 30))
    choose(job, "pre-filter", "PT-2010")

    assert_equal [:warranty_name], assert_raises(Services::Invalid) { settle(job) }.errors.keys
    settle(job, warranty_name: "Wendel Testrup")

    assert_equal "Wendel Testrup", agreed(job).warranty_name
  end

  def test_a_sum_named_is_no_consent_that_the_warranty_ends
    job = looked_over({ "pre-filter" => { torn: true } }, machine: new_machine(bought_on: today - 30))
    choose(job, "pre-filter", "HD-2010")
    settle(job, call_above_cents: 50_000)
    choose(job, "pre-filter", "PT-2010")

    assert_match(/agreed to that by name/, assert_raises(Services::Refused) { do_item(job, "pre-filter") }.message)
    Services::Agree.call(job.number, agreed_name: "Wendel", agreed_how: "phone", warranty_name: "Wendel Testrup",
      by: technician, at: NOW)
    do_item(job, "pre-filter")

    assert_equal "done", item(job, "pre-filter").state
  end

  def test_what_the_maker_covers_is_not_charged
    job = looked_over({ "pre-filter" => { torn: true } }, machine: new_machine(bought_on: today - 30))
    choose(job, "pre-filter", "HD-2010")
    Services::CoverItem.call(job.number, item(job, "pre-filter").id, covered: true, by: technician, at: NOW)
    settle(job)

    assert_equal 0, agreed(job).total_cents
    do_item(job, "pre-filter")
  end

  def test_out_of_warranty_nothing_is_covered
    job = looked_over({ "pre-filter" => { torn: true } }, machine: new_machine(bought_on: today - 3000))

    assert_raises(Services::Refused) do
      Services::CoverItem.call(job.number, item(job, "pre-filter").id, covered: true, by: technician, at: NOW)
    end
  end

  def test_an_agreed_estimate_is_never_rewritten
    settle(looked_over)

    assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true) { Models::Estimate.dataset.update(total_cents: 1, net_cents: 1, tax_cents: 0) } }
  end
end
