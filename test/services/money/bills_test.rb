# frozen_string_literal: true

require_relative "../../test_helper"

# A bill is made at hand-over, is never changed, is paid in parts, and is put right by a credit note.
class BillsTest < DatabaseTest
  def setup
    @job = take_in(new_machine)
    record(@job, "pre-filter", { torn: true })
    record(@job, "bin-seal", { state: "torn" })
    Services::FinishLookOver.call(@job.number, by: technician, at: NOW)
  end

  def close_up
    Services::Settle.call(@job.number, agreed_name: "Anna", agreed_how: "counter", by: technician, at: NOW)
    @job.work_items_dataset.each do |item|
      Services::DoWorkItem.call(@job.number, item.id, by: technician, at: NOW) if item.to_do?
    end
    close_job(@job)
  end

  def hand_over(**how)
    Services::HandOver.call(@job.number, missing_note: "none came", by: owner, at: NOW, **how)
    Models::Bill.where(job_id: @job.id).reverse(:id).first
  end

  def owed
    Services::Balance.of_job(@job)
  end

  def test_a_bill_says_what_was_done_and_agreed
    close_up
    bill = hand_over(way: "cash")

    assert_equal Services::Quotes.agreed(@job).total_cents, bill.total_cents
    assert_includes bill.to_lines.map(&:words), @job.work_items_dataset.eager(:part).all.filter_map(&:part).first.name
    assert_equal [@job.machine.customer.name, "Job #{@job.number}"], [bill.billed_to.first, bill.about.to_a.last]
    assert_equal [0, bill.total_cents], [owed, Models::Payment.where(job_id: @job.id).get(:cents)]
    assert_equal bill.id, hand_over(way: "cash").id, "handed over twice is billed once"
    assert_equal 1, Models::Payment.where(job_id: @job.id).count
  end

  def test_a_bill_is_never_changed
    close_up
    bill = hand_over

    [-> { bill.update(total_cents: 0, net_cents: 0, tax_cents: 0) }, -> { Models::Bill.where(id: bill.id).delete },
     -> { Models::Payment.where(job_id: @job.id).delete }].first(2).each do |change|
      assert_raises(Sequel::DatabaseError) { DB.transaction(savepoint: true) { change.call } }
    end
  end

  def test_a_deposit_part_payments_and_what_is_too_much
    pay(1000)

    assert_equal(-1000, owed)
    close_up
    bill = hand_over

    assert_equal bill.total_cents - 1000, owed
    pay(500, way: "transfer")
    error = assert_raises(Services::Invalid) { pay(bill.total_cents) }
    assert_match(/is at most/, error.message)
    pay(owed)
    assert_raises(Services::Invalid) { pay(1) }

    assert_equal 0, owed
  end

  def test_a_deposit_is_given_back_and_no_more
    pay(1000)
    assert_raises(Services::Invalid) { pay(-1001) }
    pay(-1000)

    assert_equal 0, owed
  end

  def test_sent_twice_is_taken_once
    key = SecureRandom.uuid
    2.times { Services::TakePayment.call(of: @job, way: "cash", cents: 700, request_key: key, by: owner, at: NOW) }

    assert_equal 700, Models::Payment.where(job_id: @job.id).sum(:cents)
  end

  def test_a_credit_note_takes_back_all_of_it_and_what_was_paid_is_owed_back
    close_up
    bill = hand_over(way: "card")
    note = credit(bill)

    assert_equal [0, 0, 0], %i[net_cents tax_cents total_cents].map { |sum| bill[sum] + note[sum] }
    assert_equal [bill.lines.to_a, bill.number + 1], [note.lines.to_a, note.number]
    assert_equal(-bill.total_cents, owed)
    assert_equal note.id, credit(bill).id, "taken back twice is taken back once"
    assert_raises(Services::Refused) { credit(note) }
    assert_raises(Services::Invalid) { credit(bill, reason: " ") }
    pay(-bill.total_cents, way: "card")

    assert_equal 0, owed
  end

  def test_looking_is_charged_where_nothing_is_done
    @job.refresh.update(look_fee_cents: 2500)
    Services::EndEarly.call(@job.number, how: "declined", by: technician, at: NOW)

    assert_equal [["Looking it over, as agreed at intake", 2500]],
      hand_over.to_lines.map { |line| [line.words, line.price_cents] }
  end

  def test_looking_is_free_with_work_unless_the_shop_charges_both
    @job.refresh.update(look_fee_cents: 2500)
    without = Services::Quotes.of(@job, items).net_cents
    Services::SavePolicies.call({ "look_fee_with_work" => "charged" }, by: owner, at: NOW)

    assert_equal without + 2500, Services::Quotes.of(@job, items).net_cents
  end

  def test_nothing_done_and_nothing_agreed_is_no_bill
    Services::EndEarly.call(@job.number, how: "declined", by: technician, at: NOW)

    assert_nil hand_over
  end

  def test_cash_is_rounded_and_the_drawer_is_counted
    Services::SavePolicies.call({ "smallest_coin_cents" => 5 }, by: owner, at: NOW)
    count(Services::CountDrawer.expected, 0, note: "the float")
    pay(1003)

    assert_equal [2, 1005], [Models::Payment.max(:rounded_cents), Services::CountDrawer.expected]
    error = assert_raises(Services::Invalid) { count(1000, 500) }
    assert_match(/\$0.05 too little/, error.message)
    assert_raises(Services::Invalid) { count(1005, 1006) }
    counted = count(1005, 500)

    assert_equal [1005, 1005, 500], [counted.expected_cents, counted.counted_cents, Services::CountDrawer.expected]
    assert_equal counted.id, count(1, 1, key: counted.request_key).id
  end

  private

  def items
    @job.work_items_dataset.eager(:part).order(:sequence).all
  end

  def pay(cents, way: "cash")
    Services::TakePayment.call(of: @job, way: way, cents: cents, by: owner, at: NOW)
  end

  def credit(bill, reason: "wrong name")
    Services::CreditBill.call(bill, reason: reason, by: owner, at: NOW)
  end

  def count(counted, left, note: nil, key: SecureRandom.uuid)
    Services::CountDrawer.call(counted_cents: counted, left_cents: left, note: note, request_key: key, by: owner,
      at: NOW)
  end
end
