# frozen_string_literal: true

require_relative "config/boot"
require "rack"
require "roda/session_middleware"

module UprightBench
  # The whole application, outermost first: what is refused before it is looked at, what a request may carry, who is there, and
  # then the screens.
  module App
    PUBLIC = Config::Settings::ROOT.join("public").to_s
    SHIPPED = ["/vendor", "/app.css", "/app.js", "/look_over.js", "/scan.js", "/icon.svg"].freeze
    A_DAY = "public, max-age=86400"

    # @param log [IO] where a line for each request goes
    def self.build(log: SETTINGS.environment == "test" ? File.open(File::NULL, "w") : $stdout)
      stack = Rack::Builder.new
      refuse(stack, log)
      limit(stack)
      know(stack)
      stack.run Screens::App
      stack.to_app
    end

    # A log line, headers, a page for whatever goes wrong; then methods, names and paths that are not ours.
    def self.refuse(stack, log)
      stack.use Config::Web::RequestLog, out: log
      stack.use Config::Web::Headers, tls: SETTINGS.tls?
      stack.use Config::Web::LastResort
      stack.use Config::Web::Methods
      stack.use Config::Web::Caller, proxies: SETTINGS.trusted_proxies, hosts: SETTINGS.hosts
      stack.use Config::Web::SafePath
    end

    # The shipped files; how much and how often; text that can be read.
    def self.limit(stack)
      stack.use Rack::Deflater
      stack.use Rack::Static, urls: SHIPPED, root: PUBLIC, header_rules: [[:all, { "cache-control" => "no-cache" }], ["/vendor", { "cache-control" => A_DAY }]]
      stack.use Config::Web::BodyLimit, most: ->(env) { Screens::App.most_bytes(env) }
      stack.use Config::Web::ReadableInput
      Config::Web::Throttle.install
      stack.use Rack::Attack
    end

    # The session, and the sign-in.
    def self.know(stack)
      stack.use RodaSessionMiddleware, secret: SETTINGS.keys.newest(:session), old_secret: SETTINGS.keys.before(:session), key: "upright_bench",
                                       max_seconds: Screens::SignIn::Gate::SESSION_SECONDS, max_idle_seconds: 14 * 86_400,
                                       cookie_options: { same_site: :lax, http_only: true, secure: SETTINGS.tls?, path: "/" }
      stack.use Screens::SignIn::Gate
    end
    private_class_method :refuse, :limit, :know
  end
end
