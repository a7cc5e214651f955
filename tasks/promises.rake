# frozen_string_literal: true

namespace :promises do
  desc "Compare promises with the soonest there can be, by an exact solver (SHOPS=200, SECONDS=20 for each)"
  task :exact do
    require_relative "../measure/exact_report"
    UprightBench::Measure::ExactReport.new(shops: Integer(ENV.fetch("SHOPS", "200")),
      seconds: Integer(ENV.fetch("SECONDS", "20"))).call
  end

  desc "Time a promise in a simulated shop with sixty open jobs and four people (WEEKS=6)"
  task :ask do
    require_relative "../measure/ask_report"
    UprightBench::Measure::AskReport.new(weeks: Integer(ENV.fetch("WEEKS", "6"))).call
  end

  desc "Write the table of docs/promises.md anew from simulated weeks (WEEKS=60)"
  task :weeks do
    require_relative "../measure/weeks_report"
    UprightBench::Measure::WeeksReport.new(weeks: Integer(ENV.fetch("WEEKS", "60"))).write
  end
end
