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

    # @param log [IO] where a line for each request goes
    def self.build(log: SETTINGS.environment == "test" ? File.open(File::NULL, "w") : $stdout)
      Rack::Builder.app do
        use Config::Web::RequestLog, out: log
        use Config::Web::Headers, tls: SETTINGS.tls?
        use Rack::Deflater
        use Rack::Static, urls: ["/vendor", "/app.css", "/app.js", "/look_over.js", "/scan.js", "/icon.svg"], root: PUBLIC,
                          header_rules: [[:all, { "cache-control" => "no-cache" }], ["/vendor", { "cache-control" => A_DAY }]]
        use Config::Web::ReadableInput
        Config::Web::Throttle.install
        use Rack::Attack
        use RodaSessionMiddleware, secret: SETTINGS.session_secret, key: "upright_bench",
                                   max_seconds: Screens::SignIn::Gate::SESSION_SECONDS, max_idle_seconds: 14 * 86_400,
                                   cookie_options: { same_site: :lax, http_only: true, secure: SETTINGS.tls?, path: "/" }
        use Screens::SignIn::Gate
        run Screens::App
      end
    end
  end
end
