# frozen_string_literal: true

require_relative "config/boot"
require "rack"
require "roda/session_middleware"

module UprightBench
  # The whole application, outermost first: a log line, headers, the shipped files, limits, readable input, the
  # session, the sign-in, and then the screens.
  module App
    PUBLIC = Config::Settings::ROOT.join("public").to_s
    A_DAY = "public, max-age=86400"

    def self.build
      Rack::Builder.app do
        use Config::Web::RequestLog unless SETTINGS.environment == "test"
        use Config::Web::Headers
        use Rack::Deflater
        use Rack::Static, urls: ["/vendor", "/app.css", "/app.js", "/icon.svg"], root: PUBLIC, header_rules: [[:all, { "cache-control" => "no-cache" }], ["/vendor", { "cache-control" => A_DAY }]]
        use Config::Web::ReadableInput
        Config::Web::Throttle
        use Rack::Attack
        use RodaSessionMiddleware, secret: SETTINGS.session_secret, key: "upright_bench",
                                   cookie_options: { same_site: :lax, http_only: true, secure: SETTINGS.tls?, path: "/" }
        use Screens::SignIn::Gate
        run Screens::App
      end
    end
  end
end
