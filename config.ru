# frozen_string_literal: true

require_relative "app"

UprightBench::LOADER.eager_load
begin
  UprightBench::Config::Production.check
rescue UprightBench::Config::Production::Refused => e
  abort "Cannot start: #{e.message}"
end
run UprightBench::App.build
