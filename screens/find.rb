# frozen_string_literal: true

module UprightBench
  module Screens
    # Finds or opens what was typed or scanned, from any screen.
    module Find
      PATHS = { job: "/jobs", machine: "/machines", card: "/cards", part: "/shelf" }.freeze

      def self.registered(app)
        app.get "/find" do
          query = params["q"].to_s.strip
          what, number = Queries::Scanned.new(query, today: today).call
          redirect what ? "#{PATHS.fetch(what)}/#{number}" : "/customers?#{URI.encode_www_form(q: query[0, 200])}", 303
        end
      end
    end
  end
end
