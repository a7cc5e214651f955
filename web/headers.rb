# frozen_string_literal: true

module UprightBench
  module Web
    # The headers that keep a page to itself: nothing inline, nothing from elsewhere, no frames.
    class Headers
      POLICY = ["default-src 'none'", "script-src 'self'", "style-src 'self'", "img-src 'self' data:",
                "font-src 'self'", "connect-src 'self'",
                "form-action 'self'", "base-uri 'none'", "frame-ancestors 'none'"].join("; ").freeze
      ALWAYS = { "content-security-policy" => POLICY, "x-content-type-options" => "nosniff",
                 "referrer-policy" => "same-origin",
                 "x-frame-options" => "DENY", "cross-origin-opener-policy" => "same-origin" }.freeze

      # Behind TLS a browser is told to come back by TLS only.
      BY_TLS = { "strict-transport-security" => "max-age=31536000" }.freeze

      # @param tls [Boolean]
      def initialize(app, tls: false)
        @app = app
        @headers = tls ? ALWAYS.merge(BY_TLS) : ALWAYS
      end

      def call(env)
        status, headers, body = @app.call(env)
        @headers.each { |name, value| headers[name] = value }
        [status, headers, body]
      end
    end
  end
end
