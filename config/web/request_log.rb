# frozen_string_literal: true

require "json"
require "securerandom"

module UprightBench
  module Config
    module Web
      # One line of JSON for each request, with an id that an error page shows too.
      class RequestLog
        def initialize(app, out: $stdout)
          @app = app
          @out = out
        end

        def call(env)
          env["bench.request_id"] = id = SecureRandom.hex(6)
          started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          status, headers, body = @app.call(env)
          write(env, id, status, started)
          headers["x-request-id"] = id
          [status, headers, body]
        end

        private

        # The query is left out: it may hold a name or a number somebody typed. A card's code is a key, so it is cut.
        def write(env, id, status, started)
          return if env["PATH_INFO"].start_with?("/vendor/")

          took = ((Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000).round(1)
          @out.puts JSON.generate(at: Time.now.utc.iso8601, id: id, method: env["REQUEST_METHOD"],
                                  path: env["PATH_INFO"].scrub.sub(%r{\A/c/.*}, "/c/…"), status: status, ms: took)
        end
      end
    end
  end
end
