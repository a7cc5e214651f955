# frozen_string_literal: true

desc "Time every main page on the database that DATABASE_URL names, and weigh web and worker (prints, judges nothing)"
task :bench do
  require_relative "../../app"
  UprightBench::LOADER.eager_load
  logs = File.open(File::NULL, "w")
  $stdout.sync = true
  app = UprightBench::App.build(log: logs)
  UprightBench::Config::Bench.new(app).call
  UprightBench::Config::Weight.new.call
end
