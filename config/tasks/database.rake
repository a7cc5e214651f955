# frozen_string_literal: true

namespace :db do
  task :boot do
    require_relative "../boot"
  end

  desc "Bring the database to the newest version"
  task migrate: :boot do
    UprightBench::Config::Database.migrate(UprightBench::DB)
  end
end

namespace :demo do
  desc "Load the demo when the database is empty"
  task load: "db:migrate" do
    next unless UprightBench::Models::Person.empty?

    UprightBench::Demo::Load.new(say: ->(text) { puts text }).call
  end

  desc "Load a shop of ten years when the database is empty (for measuring; CUSTOMERS=1000 for a smaller one)"
  task ten_years: "db:migrate" do
    next unless UprightBench::Models::Person.empty?

    $stdout.sync = true
    customers = Integer(ENV.fetch("CUSTOMERS", UprightBench::Demo::TenYears::CUSTOMERS))
    UprightBench::Demo::TenYears.new(customers: customers, say: ->(text) { puts text }).call
  end
end
