# frozen_string_literal: true

module UprightBench
  module Screens
    # For whoever watches over the processes: is it up, and can it work? Each check is tried, none is remembered.
    module Health
      def self.registered(app)
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
      end
    end
  end
end
