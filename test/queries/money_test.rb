# frozen_string_literal: true

require_relative "../test_helper"

# What is owed, what is to be given back, and the money of a day.
class MoneyQueriesTest < DatabaseTest
  def setup
    @before = Queries::Owed.new.rows.map { |row| row.bill.id }
    @customer = new_machine.customer
  end

  # @return [Models::Bill] over the counter, with this much still to be paid
  def bill(days_ago: 0)
    gasket = part("HD-2041")
    Services::CountStock.call(gasket, pieces: 9, reason: "count", by: owner, at: NOW)
    Services::SellOverCounter.call(pieces: { gasket.id => 1 }, customer: @customer, way: Core::Money::Ways::ON_ACCOUNT,
      request_key: SecureRandom.uuid, by: owner, at: NOW - (days_ago * 86_400))
  end

  def pay(bill, cents)
    Services::TakePayment.call(of: bill, way: "card", cents: cents, by: owner, at: NOW)
  end

  def rows
    Queries::Owed.new.rows.reject { |row| @before.include?(row.bill.id) }
  end

  def test_what_is_owed_is_what_is_not_paid_the_oldest_first
    newer = bill
    older = bill(days_ago: 40)

    assert_equal [[older.id, older.total_cents], [newer.id, newer.total_cents]], rows.map { |row|
      [row.bill.id, row.cents]
    }
    pay(newer, 100)

    assert_equal newer.total_cents - 100, rows.last.cents
    pay(newer, newer.total_cents - 100)

    assert_equal [older.id], rows.map { |row| row.bill.id }
    assert_equal [older.id], Queries::Owed.new(customer_id: @customer.id).rows.map { |row| row.bill.id }
    assert_empty Queries::Owed.new(customer_id: new_machine.customer_id).rows
  end

  def test_by_age_adds_up_to_what_is_open
    [0, 20, 40, 70, 100].each { |days| bill(days_ago: days) }
    owed = Queries::Owed.new
    sums = owed.by_age(today)

    assert_equal owed.open.sum(&:cents), sums.values.sum
    assert_equal Core::Money::Age::STEPS.map(&:last), sums.keys
    assert_operator sums.values.last, :>=, rows.first.cents
  end

  # What was paid before the bill stands against it once there is one; while the job is in the shop nobody gives it
  # back.
  def test_a_deposit_on_a_job_under_way_is_not_given_back
    job = settled({ "pre-filter" => { torn: true } })
    Services::TakePayment.call(of: job, way: "card", cents: 50_000, by: owner, at: NOW)

    assert_empty Queries::Owed.new.to_give_back.select { |row| row.bill.job_id == job.id }
    do_all(job)
    close_job(job)
    Services::HandOver.call(job.number, counted_out: {}, way: Core::Money::Ways::ON_ACCOUNT, by: owner, at: NOW)
    total = Models::Bill.first(job_id: job.id).total_cents

    assert_equal total - 50_000, Queries::Owed.new.to_give_back.find { |row| row.bill.job_id == job.id }.cents
  end

  def test_takings_are_what_went_over_the_counter_on_that_day
    before = Queries::MoneyDay.new(today).takings
    one = bill
    pay(one, 300)
    Services::TakePayment.call(of: one, way: "cash", cents: 200, by: owner, at: NOW)
    after = Queries::MoneyDay.new(today).takings
    rounded = Models::Payment.reverse(:id).first.rounded_cents

    assert_equal({ "card" => 300, "cash" => 200 + rounded },
      after.to_h { |way, cents| [way, cents - before.fetch(way)] }.reject { |_, cents| cents.zero? })
    assert_equal Core::Money::Ways::WORDS.keys, Queries::MoneyDay.new(today + 400).takings.keys
    assert_equal 0, Queries::MoneyDay.new(today + 400).takings.values.sum
  end
end
