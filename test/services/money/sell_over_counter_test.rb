# frozen_string_literal: true

require_relative "../../test_helper"

# Parts without a job: stock, bill, payment and the clock at home move together, once.
class SellOverCounterTest < DatabaseTest
  def setup
    @machine = new_machine(bought_on: today - 900)
    @part = fitting("pre-filter")
    Services::MoveStock.call(@part, pieces: 5, kind: "received", by: owner, at: NOW)
    @before = @part.refresh.stock
    @bills = Models::Bill.where(job_id: nil).count
  end

  def fitting(position)
    answer = Services::FitFor.new(@machine.to_core, @machine, today: today).call([position]).fetch(position)
    Models::Part[answer.candidates.first.part.id]
  end

  def sell(pieces: { @part.id => 2 }, way: "cash", key: SecureRandom.uuid, **more)
    Services::SellOverCounter.call(pieces: pieces, way: way, request_key: key, by: owner, at: NOW, **more)
  end

  def test_sold_is_billed_paid_and_off_the_shelf
    bill = sell

    assert_equal [2 * @part.price_cents, nil, []], [bill.net_cents, bill.customer_id, bill.billed_to.to_a]
    assert_equal @before - 2, @part.refresh.stock
    assert_equal 0, Services::Balance.of(bill)
    assert_equal ["2 × #{@part.name}"], bill.to_lines.map(&:words)
  end

  def test_sent_twice_is_sold_once
    key = SecureRandom.uuid
    bills = Array.new(2) { sell(key: key) }

    assert_equal 1, bills.map(&:id).uniq.size
    assert_equal @before - 2, @part.refresh.stock
  end

  def test_what_is_fitted_at_home_begins_its_clock
    sell(machine: @machine, fitted: { "pre-filter" => @part.id })
    here = Models::Fitting.in_place.first(machine_id: @machine.id, position: "pre-filter")

    assert_equal [@part.id, today], here.values.values_at(:part_id, :fitted_on)
    due = Models::Due.running.first(machine_id: @machine.id, position: "pre-filter", action: "replace")

    assert_equal today, due.started_on
    assert_operator due.due_on, :>, today
  end

  def test_nothing_is_sold_that_is_not_there_nor_by_halves
    error = assert_raises(Services::Refused) { sell(pieces: { @part.id => @before + 1 }) }

    assert_match(/left on the shelf/, error.message)
    assert_equal [@before, @bills], [@part.refresh.stock, Models::Bill.where(job_id: nil).count]
    [{}, { @part.id => 0 }, { @part.id => 1000 }].each do |pieces|
      assert_raises(Services::Invalid) { sell(pieces: pieces) }
    end
    assert_raises(Services::NotFound) { sell(pieces: { 999_999_999 => 1 }) }
  end

  def test_on_account_only_for_somebody_who_is_known
    assert_raises(Services::Invalid) { sell(way: "account") }
    bill = sell(way: "account", machine: @machine)

    assert_equal bill.total_cents, Services::Balance.of(bill)
    assert_includes Queries::Owed.new(customer_id: @machine.customer_id).open.map { |row| row.bill.id }, bill.id
  end

  def test_taken_back_it_lies_on_the_shelf_again_and_the_money_is_owed_back
    bill = sell
    Services::CreditBill.call(bill, reason: "the wrong one", by: owner, at: NOW)

    assert_equal [@before, -bill.total_cents], [@part.refresh.stock, Services::Balance.of(bill)]
  end

  def test_what_was_sold_counts_as_asked_for
    sell
    rate = Services::ForecastShelf::Demand.new(today: today, days: 91).walk_ins_a_week

    assert_operator rate.fetch(@part.id), :>, 0
  end
end
