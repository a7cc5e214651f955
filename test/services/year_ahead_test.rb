# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

class YearAheadTest < DatabaseTest
  include AsStaff

  def setup
    @customer = Models::Customer.first(fleet: true)
  end

  def rows
    Services::YearAhead.call(@customer, today: today)
  end

  def test_every_machine_and_day_once_soonest_first_and_nothing_beyond_a_year
    day = today
    dues = Models::Due.running.where(machine_id: @customer.machines.map(&:id)).where { due_on < (day >> 12) }
      .exclude { (due_on < day) & ~may_card }.count

    assert_equal dues, rows.sum { |row| row.what.size }
    assert_equal rows.map(&:date).sort, rows.map(&:date)
    assert_equal rows.size, rows.map { |row| [row.date, row.machine] }.uniq.size
  end

  # Nobody knows whether they did it: it is not told, on paper or beside the machine, as what the shop is late with.
  def test_what_they_look_after_at_home_is_not_overdue
    machine = @customer.machines.first
    due = Models::Due.running.where(machine_id: machine.id).order(:due_on).first
    due.update(due_on: today - 400, early_on: nil, late_on: nil, may_card: true)
    line = lambda do
      sign_in
      get "/customers/#{@customer.id}"
      page[%r{<b>#{machine.sheet.title}</b>\s*<span class="mono">#{machine.serial_number}.*?</summary>}m]
    end

    assert_match(/overdue/, line.call)
    before = rows.select(&:overdue).sum { |row| row.what.size }
    due.update(may_card: false)

    assert_equal before - 1, rows.select(&:overdue).sum { |row| row.what.size }
    refute_includes line.call, "#{due.position_name.downcase}, #{(today - 400).day} "
  end

  def test_a_machine_that_is_gone_is_left_out
    before = rows.size
    @customer.machines.first.update(state: "scrapped")

    assert_operator rows.size, :<, before
  end

  def test_as_paper_and_for_a_calendar
    sign_in
    get "/customers/#{@customer.id}/dues.pdf"

    assert page.start_with?("%PDF")
    get "/customers/#{@customer.id}/dues.ics"

    ahead = rows.reject(&:overdue)
    days = page.scan(/^DTSTART;VALUE=DATE:(\d+)/).flatten.map { |day| Date.strptime(day, "%Y%m%d") }

    assert_equal ahead.size + 1, days.size
    assert_operator days.min, :>=, today
    assert_equal 1, page.scan("Overdue: ").size
    assert_match(%r{\Atext/calendar}, last_response["content-type"])
  end
end
