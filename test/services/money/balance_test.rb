# frozen_string_literal: true

require_relative "../../test_helper"

# What the database keeps as owed is what its bills and payments add up to, whatever is done in whatever order.
class BalanceTest < DatabaseTest
  def setup
    @customer = new_machine.customer
    @parts = Models::Part.order(:id).limit(3).all
    @parts.each { |part| Services::MoveStock.call(part, pieces: 99, kind: "received", by: owner, at: NOW) }
    @random = Random.new(7)
  end

  def sell
    Services::SellOverCounter.call(pieces: { @parts.sample(random: @random).id => @random.rand(1..3) }, way: "account",
      customer: @customer, request_key: SecureRandom.uuid, by: owner, at: NOW)
  end

  def pay(bill)
    owed = Services::Balance.of(bill)
    return if owed.zero?

    cents = @random.rand(1..owed.abs)
    Services::TakePayment.call(of: bill, way: "card", cents: owed.positive? ? cents : -cents, by: owner, at: NOW)
  end

  # @return [Hash{Integer=>Integer}] bill => what its rows add up to, where that is not nothing
  def added_up
    Models::Bill.where(job_id: nil, customer_id: @customer.id).all.group_by { |bill| bill.credits_id || bill.id }
      .to_h { |id, bills| [id, bills.sum(&:total_cents) - Models::Payment.where(bill_id: id).sum(:cents).to_i] }
  end

  def test_sold_paid_taken_back_and_given_back_at_random
    bills = [sell]
    60.times do
      bill = bills.sample(random: @random)
      case @random.rand(4)
      when 0 then bills << sell
      when 1 then Services::CreditBill.call(bill, reason: "x", by: owner, at: NOW)
      else pay(bill)
      end
    end

    assert_equal added_up, bills.to_h { |bill| [bill.id, Services::Balance.of(bill)] }
    rows = Queries::Owed.new(customer_id: @customer.id).rows

    assert_equal added_up.reject { |_, cents| cents.zero? },
      rows.to_h { |row| [row.bill.credits_id || row.bill.id, row.cents] }
  end

  def test_a_deposit_is_kept_until_its_bill
    job = take_in(new_machine)
    Services::TakePayment.call(of: job, way: "card", cents: 1500, by: owner, at: NOW)

    assert_equal(-1500, Services::Balance.of_job(job))
    refute(Queries::Owed.new.rows.any? { |row| row.bill.job_id == job.id })
  end

  def test_nobody_writes_it_by_hand
    assert_equal %w[SELECT], Config::Rights.of(:balances)
  end
end
