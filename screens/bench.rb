# frozen_string_literal: true

module UprightBench
  module Screens
    # The start page: the working day, what is drying, what is to be carded.
    module Bench
      def self.registered(app)
        app.helpers Helpers
        app.get "/" do
          @title = "Bench"
          @keys = [["↓ ↑", "next and previous job"], ["Enter", "open the job"]]
          erb :"bench/page", locals: { board: Board.new(now: now, policies: policies), expected: expected_today }
        end

        app.get "/legend" do
          @title = "What the marks mean"
          erb :legend
        end

        app.post "/room" do
          person.update(room: params["room"]) if Models::Person::ROOMS.include?(params["room"])
          redirect page_before, 303
        end
      end

      # Helpers of this screen's templates.
      module Helpers
        WEEK = 7 # days

        # Where the browser says it came from, as a path of ours; the bench when it is none.
        def page_before
          path = URI(request.referer.to_s).request_uri
          Config::Web::SafePath.safe?(path[/\A[^?]*/]) ? path : "/"
        rescue URI::InvalidURIError, NoMethodError
          "/"
        end

        # Who said they would come today or before, and what waits for somebody here; each is one look at an index.
        # @return [Hash]
        def expected_today
          { visits: Models::Visit.booked.where(Sequel[:drop_off_on] <= today).eager(:customer).order(:drop_off_on, :id).limit(12).all,
            due: Services::DueBook.weeks(today: today, days: WEEK, policy: policies.cards).fetch(0, 0),
            calls: calls_waiting.count, for_a_person: Models::Message.for_a_person.count }
        end
      end
    end
  end
end
