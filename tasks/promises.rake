# frozen_string_literal: true

namespace :promises do
  desc "Compare promises with the soonest there can be, by an exact solver (SHOPS=200, SECONDS=20 for each)"
  task :exact do
    require_relative "../measure/exact_report"
    UprightBench::Measure::ExactReport.new(shops: Integer(ENV.fetch("SHOPS", "200")),
      seconds: Integer(ENV.fetch("SECONDS", "20"))).call
  end
end
