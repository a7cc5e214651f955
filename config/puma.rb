# frozen_string_literal: true

# One process with a few threads suits one shop; WEB_PROCESSES adds more on a bigger machine.
require "etc"

port Integer(ENV.fetch("PORT", "4610"), 10), ENV.fetch("BIND", "127.0.0.1")
threads 1, 5
environment ENV.fetch("APP_ENV", "development")
processes = Integer(ENV.fetch("WEB_PROCESSES", "0"), 10)
if processes.positive?
  workers processes
  preload_app!
  before_fork { UprightBench::DB.disconnect }
end
# Some pictures in one form at the most; more is refused before it is read.
http_content_length_limit 120 * 1024 * 1024
quiet
