# frozen_string_literal: true

require_relative "../test_helper"

# A machine that begins with the customer: no job, and all the same a clock, a warranty and a card.
class SellMachineTest < DatabaseTest
  def input(**more)
    { customer: { name: "Ottoline Brandt", email: "ottoline@example.org", email_agreed: true },
      machine: { sheet_id: sheet("Hallmoor Dart M").id, serial_number: "NEW-1", bought_on: today, bought_at: "here" },
      use: { hours_per_week: 1.0, traits: %w[pets], allergy: false }, price_cents: 34_900, way: "card",
      request_key: SecureRandom.uuid, **more }
  end

  def sell(**more)
    Services::SellMachine.call(input(**more), by: owner, at: NOW)
  end

  def test_its_clocks_run_and_its_warranty_holds
    machine = sell

    assert_equal [today], Models::Due.running.where(machine_id: machine.id).select_map(:started_on).uniq
    assert_predicate machine.warranty(today + 300), :in?
    assert_empty Models::Job.where(machine_id: machine.id).all
    bill = Models::Bill.first(machine_id: machine.id)

    assert_equal [34_900, 0], [bill.net_cents, Services::Balance.of(bill)]
  end

  # The first card goes out when the first part is due, and not before.
  def test_its_first_card_leaves_when_its_first_part_is_due
    machine = sell
    first = Models::Due.running.where(machine_id: machine.id, may_card: true).min(:due_on)
    lead = Services::Policies.now.cards.lead_days(:email)
    leaving = ->(day, days) { Services::DueBook.new(today: day, until_on: day + days).leaving.map(&:customer_id) }

    assert_operator first, :>, today + 60
    refute_includes leaving.call(first - lead - 7, 0), machine.customer_id
    assert_includes leaving.call(first, 5), machine.customer_id
  end

  def test_sent_twice_is_sold_once
    key = SecureRandom.uuid
    machines = Array.new(2) { sell(request_key: key) }

    assert_equal 1, machines.map(&:id).uniq.size
  end

  def test_without_a_price_there_is_no_bill_and_a_known_serial_number_is_said
    machine = sell(price_cents: nil)

    assert_nil Models::Bill.first(machine_id: machine.id)
    assert_raises(Services::Invalid) { sell(price_cents: nil) }
  end
end
