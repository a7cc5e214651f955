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
    dues = Models::Due.running.where(machine_id: @customer.machines.map(&:id)).where { due_on < (Date.today >> 12) }
      .count

    assert_equal dues, rows.sum { |row| row.what.size }
    assert_equal rows.map(&:date).sort, rows.map(&:date)
    assert_equal rows.size, rows.map { |row| [row.date, row.machine] }.uniq.size
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
