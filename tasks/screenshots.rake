# frozen_string_literal: true

desc "Remake docs/screenshots from the demo on the database that DATABASE_URL names (ONLY=bench,rack for some)"
task :screenshots do
  require "stringio"
  require_relative "../app"
  require_relative "../measure/screenshots"
  UprightBench::LOADER.eager_load
  UprightBench::Measure::Screenshots.new(UprightBench::App.build(log: StringIO.new))
    .call(ENV.fetch("ONLY", "").split(","))
end
