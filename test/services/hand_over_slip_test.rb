# frozen_string_literal: true

require_relative "../test_helper"

class HandOverSlipTest < DatabaseTest
  # Whoever runs it daily is not told to wait for months.
  def test_care_at_home_comes_round_by_hours_and_by_months
    job = settled({ "bag" => { fill_percent: 80 } }, machine: new_machine("Corvane Drum 30"))
    do_all(job)
    close_job(job, at: NOW + 120)
    page = Queries::JobPage.new(job.refresh, now: NOW + 300, policies: Services::Policies.now)
    home = Screens::Job::SlipPaper.new(page, today: today, policies: Services::Policies.now).parts[:home]

    assert_includes home.map { |row| row.first(2) }, ["Paper bag: replace", "every 2 months or 20 h of use"]
    assert_includes home.map { |row| row.first(2) }, ["Mains lead: inspect", "every 12 months"]
  end
end
