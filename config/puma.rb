# frozen_string_literal: true

# One process with a few threads suits one shop; WEB_PROCESSES adds more on a bigger machine.
require "etc"
require_relative "../launch/leash"
require_relative "../web/own_buffer"

UprightBench::Launch::Leash.hold
UprightBench::Web::OwnBuffer.install

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
# It would write down a request that it cannot read, which may hold a code that opens a page, or a cookie.
Puma::ErrorLogger.prepend(Module.new do
  def title(options = {})
    "#{Time.now.utc} #{options[:text]} (#{options[:error].class})"
  end
end)
# Methods are refused by the application, and what goes wrong outside it gets a page of ours: the server's own text is
# never sent.
supported_http_methods :any
lowlevel_error_handler do |_error, env, status|
  page = UprightBench::Web::Answer
  # Whatever the application fails at is answered by the application; what comes here without its mark could not even
  # be read.
  known = page::WORDS.key?(status) && (status < 500 || env&.key?("upright_bench.request_id") || status == 501)
  code, headers, body = page.page(known ? status : 400, env || {})
  [code, headers.merge(UprightBench::Web::Headers::ALWAYS), body]
end
