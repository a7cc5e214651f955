# frozen_string_literal: true

desc "Time every main page on the database that DATABASE_URL names, weigh web and worker, and time a shop of ten " \
     "years (prints, judges nothing)"
task bench: ["bench:demo", "bench:ten_years"]

namespace :bench do
  task :load do
    require "stringio"
    require_relative "../app"
    UprightBench::LOADER.eager_load
    $stdout.sync = true
  end

  desc "Time the demo, and weigh web and worker"
  task demo: :load do
    require_relative "../measure/pages"
    require_relative "../measure/weight"
    UprightBench::Measure::Pages.new(UprightBench::App.build(log: StringIO.new)).call
    UprightBench::Measure::Weight.new.call
  end

  desc "Time a shop of ten years in a private cluster, made in some minutes the first time (CUSTOMERS=1000 for a " \
       "smaller one)"
  task :ten_years do
    require_relative "../measure/ten_years"
    UprightBench::Measure::TenYears.new(customers: ENV.fetch("CUSTOMERS", "100000")).call
  end

  # What the task above starts in a process of its own, on the big database.
  task ten_years_here: :load do
    require_relative "../measure/ten_years_bench"
    UprightBench::Measure::TenYearsBench.new(UprightBench::App.build(log: StringIO.new)).call
  end
end
