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
# It would name the address of a request that it cannot read, and an address may hold a code that opens a page.
Puma::ErrorLogger.prepend(Module.new { def request_title(_) = "a request" })
# Methods are refused by the application, and what goes wrong outside it gets a page of ours: the server's own text is never sent.
supported_http_methods :any
lowlevel_error_handler do |error, env, status|
  UprightBench::Config::Report.error(error, id: env && env["bench.request_id"]) if status >= 500
  page = UprightBench::Config::Web::Answer
  code, headers, body = page.page(page::WORDS.key?(status) ? status : 400, env || {})
  [code, headers.merge(UprightBench::Config::Web::Headers::ALWAYS), body]
end
