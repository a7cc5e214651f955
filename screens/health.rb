# frozen_string_literal: true

module UprightBench
  module Screens
    # For whoever watches over the processes: is it up, and can it work? Each check is tried, none is remembered.
    module Health
      def self.registered(app)
        app.helpers Helpers

        app.get "/healthz", open: true do
          content_type :json
          JSON.generate(up: true)
        end

        app.get "/readyz", open: true do
          content_type :json
          results = Queries::Readiness.call
          status(results.values.all? ? 200 : 503)
          JSON.generate(results)
        end

        app.get "/metrics", open: true do
          pass unless watcher?

          content_type "text/plain; version=0.0.4", charset: "utf-8"
          Web::Metrics.text(Queries::Gauges.call(at: now))
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        # @return [Boolean] whether whoever asks knows the token
        def watcher?
          token = SETTINGS.metrics_token or return false

          given = env["HTTP_AUTHORIZATION"].to_s[/\ABearer (\S{1,200})\z/, 1]
          !given.nil? && ::Rack::Utils.secure_compare(given, token)
        end
      end
    end
  end
end
