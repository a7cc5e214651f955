# frozen_string_literal: true

module UprightBench
  module Config
    module Web
      # The headers that keep a page to itself: nothing inline, nothing from elsewhere, no frames.
      class Headers
        POLICY = ["default-src 'none'", "script-src 'self'", "style-src 'self'", "img-src 'self' data:", "font-src 'self'", "connect-src 'self'",
                  "form-action 'self'", "base-uri 'none'", "frame-ancestors 'none'"].join("; ").freeze
        ALWAYS = { "content-security-policy" => POLICY, "x-content-type-options" => "nosniff", "referrer-policy" => "same-origin",
                   "x-frame-options" => "DENY", "cross-origin-opener-policy" => "same-origin" }.freeze

        def initialize(app)
          @app = app
        end

        def call(env)
          status, headers, body = @app.call(env)
          ALWAYS.each { |name, value| headers[name] = value }
          [status, headers, body]
        end
      end
    end
  end
end
