# frozen_string_literal: true

require "json"
require "securerandom"

module UprightBench
  module Web
    # One line of JSON for each request, with an id that an error page shows too. It names the route and not the
    # address: an address may hold a code that opens a page, and a query what somebody typed.
    class RequestLog
      QUIET = "/assets/"
      STREAMS = ["/gauge-lines", "/jobs/:number/fault/gauge"].freeze # three times a second: only what failed is told
      NO_ROUTE = "none"

      # @param count [#call, nil] is told method, route, status and seconds
      def initialize(app, out: $stdout, count: nil)
        @app = app
        @out = out
        @count = count
      end

      def call(env)
        env["upright_bench.request_id"] = id = SecureRandom.hex(6)
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        status, headers, body = @app.call(env)
        write(env, id, status, started) unless env["PATH_INFO"].to_s.start_with?(QUIET)
        headers["x-request-id"] = id
        [status, headers, body]
      end

      private

      def write(env, id, status, started)
        seconds = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
        method = Methods::TAKEN.include?(env["REQUEST_METHOD"]) ? env["REQUEST_METHOD"] : "other"
        route = env.fetch("upright_bench.route", NO_ROUTE)
        @count&.call(method, route, status, seconds)
        return if STREAMS.include?(route) && status < 400

        @out.puts JSON.generate(at: Time.now.utc.iso8601, id: id, method: method, route: route, status: status,
          ms: (seconds * 1000).round(1))
      end
    end
  end
end
