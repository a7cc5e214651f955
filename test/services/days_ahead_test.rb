# frozen_string_literal: true

require_relative "../test_helper"

# How full the coming days are, which of them a customer may choose, and what is said on the phone.
class DaysAheadTest < DatabaseTest
  def setup
    super
    Models::Job.in_shop.update(state: "declined")
    Models::WorkItem.dataset.update(took_minutes: nil)
    Services::MakePlan.call(at: NOW)
  end

  def days(count = 3)
    Services::DaysAhead.new(at: NOW).call(count)
  end

  def people
    Models::Person.may_sign_in.where(at_bench: true).count
  end

  # A working day of eight hours and a half, for each who is at the bench; four hours on a Saturday.
  def test_hands_are_those_who_are_there
    later = days(8).drop(1)

    assert_equal [240 * people, 510 * people], later.map(&:hands_minutes).uniq.sort
    one = Models::Person.first(at_bench: true)
    date = later.first.date
    Services::TellAbsence.call(one, from: Config::Zone.at(date, 0), till: Config::Zone.at(date, 23), by: technician,
      at: NOW)

    assert_equal later.first.hands_minutes * (people - 1) / people, days(8)[1].hands_minutes
  end

  def test_the_day_ends_when_the_shop_closes
    date = Services::DaysAhead.new(at: NOW).call(2).last.date
    firsts = [[date, 9], [date, 23]].map { |at| Services::DaysAhead.new(at: Config::Zone.at(*at)).call(1).first.date }

    assert_equal [date, Services::Policies.now.schedule.open_day(date + 1)], firsts
  end

  def test_what_is_planned_takes_its_minutes
    settled({ "roll" => { turns: "stuck" } })
    Services::MakePlan.call(at: NOW)

    assert_operator days(10).sum(&:planned_minutes), :>, 15
  end

  def book(count, date)
    Models::Customer.where(Sequel.~(id: Models::Booking.select(:customer_id))).limit(count).each do |customer|
      Services::MakeBooking.call(customer, on: date, by: owner, at: NOW)
    end
  end

  def test_a_day_that_is_full_is_not_offered
    date = Services::DaysAhead.offered(at: NOW).first
    day = days(40).find { |one| one.date == date }
    book((day.hands_minutes / day.usual_minutes) + 1, date)

    refute_includes Services::DaysAhead.offered(at: NOW), date
    assert_equal 10, Services::DaysAhead.offered(at: NOW).size
  end

  def ask(**more)
    Services::AskAhead.new(at: NOW).of_model(sheet("Hallmoor Dart M").to_core, [%w[pre-filter wash]], **more)
  end

  # Looked over, washed, a day on the rack, refitted.
  def test_asked_on_the_phone_the_plan_tries_it_from_when_it_is_brought
    tomorrow = Config::Zone.at(Services::Policies.now.schedule.open_day(today + 1), 9)
    answers = [NOW, tomorrow].map { |time| ask(brought_at: time) }

    assert_operator answers.last.at, :>, tomorrow + (24 * 3600)
    assert_operator answers.first.at, :<=, answers.last.at
    assert_empty Queries::PlannedJobs.steps.select { |step| step.job == Services::AskAhead::NUMBER }, "nothing is kept"
  end

  def test_where_nobody_knows_the_model_minutes_will_do
    ask = Services::AskAhead.new(at: NOW)
    quick, wet = [0, 24].map do |hours|
      ask.roughly(Services::AskAhead::Rough.new(minutes: 30, drying_hours: hours), brought_at: NOW).at
    end

    assert_operator wet, :>, quick + 86_000
    assert_raises(Services::Refused) { ask(brought_at: NOW + (200 * 86_400)) }
  end

  def test_what_is_replaced_waits_for_its_part_from_when_it_is_here
    Models::StockLevel.dataset.update(pieces: 0)
    later = NOW + (20 * 86_400)
    answer = Services::AskAhead.new(at: NOW).of_model(sheet("Hallmoor Dart M").to_core, [%w[post-filter replace]],
      brought_at: later)

    assert_operator answer.at, :>, later + 86_400
  end
end
