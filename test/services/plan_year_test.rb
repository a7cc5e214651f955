# frozen_string_literal: true

require_relative "../test_helper"

class PlanYearTest < DatabaseTest
  def setup
    @machines = Array.new(2) { new_machine("Brackwater Loft K") }
    @customer = @machines.first.customer
    @machines.last.update(customer_id: @customer.id)
    @machines.each { |machine| Services::SetClocks.call(machine, on: today) }
    Models::Due.running.where(machine_id: @machines.map(&:id)).exclude(position: "exhaust-filter")
      .update(state: "ended", closed_on: today)
    Models::Due.running.where(machine_id: @machines.map(&:id))
      .update(started_on: today - 300, due_on: today + 60, early_on: today + 60, late_on: today + 60)
  end

  def service_day
    Services::PlanYear.call(@customer, today: today).days.first
  end

  def fit(machine, number)
    Models::Fitting.in_place.where(machine_id: machine.id, position: "exhaust-filter")
      .update(part_id: number && part(number).id)
  end

  # What sits there is taken again, and what is no longer made gives way to what took its place.
  def test_the_parts_of_a_service_day
    fit(@machines.first, "HD-1008")
    fit(@machines.last, "HD-1008")
    heir = Services::WhichPart.heirs.fetch(part("HD-1008").id, part("HD-1008").id)

    assert_equal [{ heir => 2 }, 0], [service_day.parts.transform_keys(&:id), service_day.unknown]
    assert_equal 2, service_day.rows.size
  end

  def test_without_a_part_there_it_is_what_the_model_takes
    @machines.each { |machine| fit(machine, nil) }

    assert_equal [2, 0], [service_day.parts.values.sum, service_day.unknown]
  end

  # To look a machine over takes its time too, and what the shelf lacks is said.
  def test_the_time_and_what_is_missing
    @machines.each { |machine| fit(machine, "HD-1008") }
    place = @machines.first.to_core.position("exhaust-filter")
    heir = service_day.parts.keys.first

    assert_equal 2 * (20 + place.minutes + 3), service_day.minutes # three minutes fit a part (house rule)
    assert_equal [2 - heir.stock, 0].max, service_day.missing.values.sum
    Models::StockMove.create(part_id: heir.id, pieces: 5, kind: "received", moved_by: owner.id, moved_at: NOW)

    assert_empty service_day.missing
  end

  def test_it_says_whether_there_could_be_fewer_days
    plan = Services::PlanYear.call(@customer, today: today)

    assert_predicate plan, :fewest?
    assert_equal plan.days.size, plan.least
  end

  def test_what_nobody_knows_is_counted
    @machines.each { |machine| fit(machine, nil) }
    Models::Due.running.where(machine_id: @machines.map(&:id)).update(position: "somewhere")

    assert_equal [{}, 2], [service_day.parts, service_day.unknown]
  end
end
