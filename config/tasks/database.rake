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
end
