# frozen_string_literal: true

desc "Time every main page on the database that DATABASE_URL names, and weigh web and worker (prints, judges nothing)"
task :bench do
  require "stringio"
  require_relative "../../app"
  require_relative "bench"
  require_relative "weight"
  UprightBench::LOADER.eager_load
  $stdout.sync = true
  app = UprightBench::App.build(log: StringIO.new)
  UprightBench::Config::Bench.new(app).call
  UprightBench::Config::Weight.new.call
end
