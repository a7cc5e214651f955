# frozen_string_literal: true

module UprightBench
  module Screens
    # The start page: the working day, what is drying, what is to be carded.
    module Bench
      def self.registered(app)
        app.get "/" do
          @title = "Bench"
          @keys = [["↓ ↑", "next and previous job"], ["Enter", "open the job"]]
          erb :"bench/page", locals: { board: Board.new(now: now, policies: policies), leaving: Services::DueBook.new(today: today, policy: policies.cards).bundles.select(&:leaves_today?) }
        end

        app.get "/legend" do
          @title = "What the marks mean"
          erb :legend
        end

        app.post "/room" do
          person.update(room: params["room"]) if Models::Person::ROOMS.include?(params["room"])
          redirect request.referer.to_s.start_with?(request.base_url) ? request.referer : "/", 303
        end
      end
    end
  end
end
