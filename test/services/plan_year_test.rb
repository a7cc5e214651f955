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

  # PlanYear keeps what it found, and searches again when anything changes that the plan depends on.
  def test_it_is_searched_once_and_again_when_something_changed
    dues = Models::Due.running.where(machine_id: @machines.map(&:id))
    first = service_day

    assert_equal 0, searches { assert_equal first.to_h, service_day.to_h }
    @machines.first.update(serial_number: "Z-1")

    assert_equal(0, searches { assert_includes service_day.rows.map { |row| row[:machine] }, "Brackwater Loft K Z-1" })
    { "another date" => -> { dues.where(id: dues.min(:id)).update(due_on: today + 90, late_on: today + 90) },
      "another interval" => -> { dues.update(started_on: today - 30) },
      "fewer tasks" => -> { dues.where(machine_id: @machines.last.id).update(state: "ended", closed_on: today) },
      "a window" => -> { Services::SavePolicies.call({ "bundle_days" => 3 }, by: owner, at: NOW) },
      "a closed day" => lambda {
        Services::SavePolicies.call({ "closed_days" => [{ "on" => service_day.date.iso8601, "name" => "Slip Day" }] },
          by: owner, at: NOW)
      } }.each do |what, change|
      change.call

      assert_equal 1, searches { service_day }, what
      assert_equal 0, searches { service_day }, what
    end
    assert_equal(1, searches { Services::PlanYear.call(@customer, today: today + 1) })
  end

  def test_only_the_plans_of_a_few_customers_are_kept
    found = Services::FoundDays.new
    within = { window_days: 7, today: today, until_on: today + 30, open_day: ->(day) { day } }
    lists = Array.new(Services::FoundDays::MOST + 1) do |n|
      [Core::Year::Task.new(machine: nil, what: nil, due_on: today + n, interval_days: 90, place: [n], action: :wash)]
    end
    lists.each { |tasks| found.of(tasks, **within) }

    assert_equal 0, searches { lists.drop(1).each { |tasks| found.of(tasks, **within) } }
    closed = today + 35 # after the plan's last day
    shut = { **within, open_day: ->(day) { day == closed ? day - 1 : day } }

    assert_equal(1, searches { found.of(lists.last, **shut) })
    assert_equal(1, searches { found.of(lists.first, **within) })
  end

  # @return [Integer] plans that were searched for
  def searches(&)
    count = 0
    build = Core::Year::Plan.method(:new)
    Core::Year::Plan.stub(:new, ->(**tasks) { (count += 1) && build.call(**tasks) }, &)
    count
  end
end
