# frozen_string_literal: true

require_relative "config/boot"
require "rack"
require "roda/session_middleware"

module UprightBench
  # The whole application, outermost first: what is refused before it is looked at, what a request may carry, who is
  # there, and then the screens.
  module App
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
      stack.use Web::RequestLog, out: log, count: (Web::Metrics.method(:count) if SETTINGS.metrics_token)
      stack.use Web::Headers, tls: SETTINGS.tls?
      stack.use Web::LastResort
      stack.use Web::Methods
      stack.use Web::Caller, proxies: SETTINGS.trusted_proxies, hosts: SETTINGS.hosts
      stack.use Web::SafePath
    end

    # The shipped files; how much and how often; text that can be read.
    def self.limit(stack)
      stack.use Rack::Deflater
      stack.use Web::Assets
      stack.use Web::BodyLimit, most: ->(env) { Screens::App.most_bytes(env) }
      stack.use Web::ReadableInput
      Web::Throttle.install
      stack.use Rack::Attack
    end

    # The session, and the sign-in.
    def self.know(stack)
      stack.use RodaSessionMiddleware, secret: SETTINGS.keys.newest(:session),
        old_secret: SETTINGS.keys.before(:session), key: "upright_bench",
        max_seconds: Web::SignIn::Gate::SESSION_SECONDS, max_idle_seconds: 14 * 86_400,
        cookie_options: { same_site: :lax, http_only: true, secure: SETTINGS.tls?, path: "/" }
      stack.use Web::SignIn::Gate
    end
    private_class_method :refuse, :limit, :know
  end
end
