# frozen_string_literal: true

require "rack/attack"

module UprightBench
  module Web
    # How often one address may open the pages behind a code. (Signing in has its own limit: Services::SignInTries.)
    module Throttle
      CODES_A_MINUTE = 20
      CODES = %r{\A/(?:c|j|r)/}

      module_function

      def install
        Rack::Attack.cache.store = Counters.new
        Rack::Attack.throttle("codes", limit: CODES_A_MINUTE, period: 60) do |request|
          request.env["REMOTE_ADDR"] if request.path.match?(CODES)
        end
        Rack::Attack.throttled_responder = lambda { |request|
          Answer.page(429, request.env, headers: { "retry-after" => "60" })
        }
      end
    end
  end
end
