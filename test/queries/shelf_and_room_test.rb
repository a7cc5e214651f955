# frozen_string_literal: true

require_relative "../test_helper"

# Figures that are old, readings that are many, minutes that say something only where there are enough of them.
class ShelfAndRoomQueriesTest < DatabaseTest
  # Every one that is kept is a reading as it was, evenly apart, and none is older than three days.
  def test_readings_are_thinned_out_evenly
    gauge = Models::Gauge.first(kind: "room")
    DB[:room_readings].delete
    hours = Queries::RoomOfLate::HOURS
    times = Array.new(1000) { |n| NOW - ((hours + 1) * 3600) + (n * (hours + 1) * 3.6) }
    Models::RoomReading.import(%i[gauge_id read_at temperature_c humidity_percent], times.map do |at|
      [gauge.id, at, 20, 50]
    end)
    kept = Queries::RoomOfLate.call(now: NOW).map(&:first)

    assert_operator kept.size, :<=, Queries::RoomOfLate::MOST
    assert_operator kept.size, :>, Queries::RoomOfLate::MOST / 2
    assert_operator kept.first, :>=, NOW - (hours * 3600)
    assert_equal kept.sort, kept
    assert_equal 1, kept.each_cons(2).map { |before, after| (after - before).round }.uniq.size
    DB[:room_readings].delete

    assert_empty Queries::RoomOfLate.call(now: NOW)
  end

  def test_a_code_may_be_used_until_its_last_day
    codes = [today - 1, today, today + 1].map do |on|
      Services::GiveCode.call(by: owner, at: NOW).tap { |code| code.update(expires_on: on) }
    end

    assert_equal codes.drop(1).map(&:id), Queries::Registrations.given(today: today).map(&:id).sort & codes.map(&:id)
    codes.last.update(state: "sent_in", sent_in_at: NOW, customer_id: new_machine.customer_id)

    assert_equal [codes[1].id], Queries::Registrations.given(today: today).map(&:id) & codes.map(&:id)
    assert_includes Queries::Registrations.sent_in.map(&:id), codes.last.id
  end

  def test_figures_of_yesterday_are_stale
    Services::ForecastShelf.call(at: NOW)

    refute Queries::ToOrder.new.stale?(today)
    assert Queries::ToOrder.new.stale?(today + 1)
    assert_nil Queries::ToOrder.new.running
  end

  # Of a machine that stands there since it was closed up, and of one that was declined: that is later than it came in.
  def test_what_waits_longest_to_be_fetched_comes_first
    closed = close_job(settled({ "pre-filter" => { torn: true } }).tap { |job| do_all(job) }, at: NOW)
    declined = take_in
    Services::EndEarly.call(declined.number, how: "declined", by: owner, at: NOW - 7200)
    mine = Queries::ToCollect.new.rows.select { |row| [closed.id, declined.id].include?(row.job.id) }

    assert_equal [[declined.id, NOW - 7200], [closed.id, NOW]], mine.map { |row| [row.job.id, row.since] }
    assert_nil mine.first.notice
  end

  def test_minutes_say_something_from_the_third_time_on
    job = settled({ "pre-filter" => { torn: true } })
    items = job.work_items_dataset.where(action: "replace", position: "pre-filter")
    rows = -> { Queries::MinutesTaken.call(job.machine.sheet).fetch("pre-filter", []).select { |row| row.action == "replace" } }
    before = DB[:work_items].where(position: "pre-filter", action: "replace").exclude(took_minutes: nil)
      .update(took_minutes: nil)
    others = Array.new(2) { settled({ "pre-filter" => { torn: true } }) }
    [job, *others].zip([4, 30, 6]).each do |one, minutes|
      assert_empty rows.call, "#{before} were there before"
      one.work_items_dataset.where(action: "replace", position: "pre-filter")
        .update(state: "done", done_at: NOW, done_by: technician.id, took_minutes: minutes)
    end

    assert_equal [[6.0, 3]], rows.call.map { |row| [row.minutes, row.times] }
    assert_equal 1, items.count
  end

  # By key and not by place: whoever comes in between is neither left out nor shown twice.
  def test_customers_page_by_page_in_every_order
    names = Array.new(Queries::CustomerList::PAGE + 2) { |n| "Zz #{format('%03d', n)}" }
    names.each { |name| Models::Customer.create(name: name, created_by: owner.id) }
    Queries::CustomerList::ORDERS.each_key do |order|
      seen = []
      loop do
        page = Queries::CustomerList.new(order: order, after: seen.empty? ? 0 : seen.last.id)
        seen.concat(page.rows)
        break unless page.more?
      end

      assert_equal Models::Customer.where(forgotten_on: nil).select_order_map(:id), seen.map(&:id).sort, order
      sorted = if order.start_with?("name")
                 Models::Customer.where(id: seen.map(&:id)).order(:name,
                   :id).select_map(:id)
               else
                 seen.map(&:id).sort
               end

      assert_equal %w[name_down newest].include?(order) ? sorted.reverse : sorted, seen.map(&:id), order
    end
    assert_equal "name", Queries::CustomerList.new(order: "id; DROP TABLE").order
  end
end
