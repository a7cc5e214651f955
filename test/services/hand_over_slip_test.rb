# frozen_string_literal: true

require_relative "../test_helper"

class HandOverSlipTest < DatabaseTest
  WORDS = Class.new { def full_day(day) = day.to_s }.new
  # Whoever runs it daily is not told to wait for months.
  def test_care_at_home_comes_round_by_hours_and_by_months
    job = settled({ "bag" => { fill_percent: 80 } }, machine: new_machine("Corvane Drum 30"))
    do_all(job)
    close_job(job, at: NOW + 120)
    home = slip(job, at: NOW + 300)[:home]

    assert_includes home.map { |row| row.first(2) }, ["Paper bag: replace", "every 2 months or 20 h of use"]
    assert_includes home.map { |row| row.first(2) }, ["Mains lead: inspect", "every 12 months"]
  end

  # Common practice: whoever takes a wet filter home is told until when it is to dry, and not to run it before.
  def test_what_goes_home_wet_says_until_when_it_is_to_dry
    job = settled({ "pre-filter" => { grey: 5 } })
    do_all(job)
    dry = item(job, "pre-filter").on_rack.dry_at
    close_job(job, wet_reason: "dries at home")
    name, until_then, below = slip(job, at: NOW + 300)[:wet].first

    assert_equal ["Pre-motor filter", "dry #{Core::Units::Moment.whole(Config::Zone.local(dry))}"], [name, until_then]
    assert_match(/Do not run the machine before/, below)
    assert_empty slip(job, at: dry + 60)[:wet]
  end

  # What the technician should do about it is nothing for the customer.
  def test_what_is_left_says_what_was_found
    job = of_unknown_model
    close_job(job, at: NOW + 120)

    assert_equal ["Exhaust filter", "as found", "Very dark: little air gets through."],
      slip(job, at: NOW + 300)[:left].first
  end

  def test_nobody_is_told_that_they_will_hear_of_what_never_falls_due
    known = settled({ "pre-filter" => { grey: 5 } })

    assert_equal [true, false], [known, of_unknown_model].map { |job| notes(job).grep(/you hear from us/).any? }
  end

  # Nothing fits, so the one thing found is left.
  def of_unknown_model
    Services::BeginSheet.call(maker: "Ewer", model: "Nine", kind: :upright, by: owner, at: NOW)
    job = take_in(new_machine("Ewer Nine"))
    record(job, "exhaust-filter", { grey: 5 })
    Services::FinishLookOver.call(job.number, by: technician, at: NOW)
    Services::ChoosePart.call(job.number, item(job, "exhaust-filter").id, choice: "leave", by: technician, at: NOW)
    Services::Settle.call(job.number, agreed_name: "Wendel", agreed_how: "phone", by: technician, at: NOW)
    job.refresh
  end

  def slip(job, at:)
    paper(job, at).parts
  end

  def notes(job)
    paper(job, NOW + 300).notes(WORDS)
  end

  def paper(job, at)
    page = Queries::JobPage.new(job.refresh, now: at, policies: Services::Policies.now)
    Screens::Job::SlipPaper.new(page, today: today, policies: Services::Policies.now)
  end
end
