# frozen_string_literal: true

require "bundler/setup"
require_relative "launch/database_wait"
UprightBench::Launch::DatabaseWait.call(ENV.fetch("DATABASE_URL"))
require_relative "app"

begin
  UprightBench::Config::Production.check
rescue UprightBench::Config::Production::Refused => e
  abort "Cannot start: #{e.message}"
end
UprightBench::LOADER.eager_load
if UprightBench::SETTINGS.metrics_token
  together = UprightBench::SETTINGS.state_dir.join("metrics") if ENV.fetch("WEB_PROCESSES", "0").to_i.positive?
  UprightBench::Web::Metrics.begin(together)
end
run UprightBench::App.build
