# frozen_string_literal: true

module UprightBench
  module Screens
    # The start page: the working day, what is drying, which reminders leave.
    module Bench
      # The mark, its word and what it means.
      LEGEND = [
        *Core::Findings::VerdictKind::ALL.map { |kind| [kind.key, kind.words, kind.means] },
        [:unseen, Drawings::Mark::WORDS.fetch(:unseen), "Nobody has looked at it in this job."],
        [:unfitted, Drawings::Mark::WORDS.fetch(:unfitted), "This machine does not have it."]
      ].freeze

      def self.registered(app)
        app.helpers Helpers
        app.get "/" do
          @title = "Bench"
          @keys = [["↓ ↑", "next and previous job"], ["Enter", "open the job"],
                   ["w", "what waits to be fetched"]]
          board = Board.new(jobs: Queries::JobsOnBench.new(now: now), now: now, policies: policies)
          erb :"bench/page", locals: { board: board, expected: Queries::ExpectedToday.call(today: today,
            policy: policies.cards) }
        end

        app.get "/legend" do
          @title = "What the marks mean"
          erb :legend, locals: { legend: LEGEND }
        end

        app.post "/theme", own: true do
          Services::SetTheme.call(person, params["theme"])
          redirect page_before, 303
        end
      end

      # Helpers of this screen's templates.
      module Helpers
        # @return [String] to the owner, when a day's work could be lost
        def backup_missing
          return "" unless may?(:settings) && Services::Backups.missing?(at: now)

          last = Services::Backups.last
          since = last ? "The last backup is of #{moment(last.at)}." : "There is no backup yet."
          %(<p class="slip slip-stop" role="status">#{since} <a href="/settings/shop#backups">Backups</a></p>)
        end

        # @return [String] what a new shop does first; nothing in one that has had a machine
        def first_steps
          steps = Queries::FirstSteps.call
          steps.empty? ? "" : partial(:"bench/_first_steps", steps: steps)
        end

        # @param booking [Queries::ExpectedToday::Booking]
        # @return [String] the take-in with everything filled in that is known
        def booking_path(booking)
          return "/take-in?customer_id=#{booking.customer_id}" unless booking.machine_id

          asked = { machine_id: booking.machine_id, complaint: "as on the card: #{booking.tasks.join(', ')}" }
          "/take-in?#{URI.encode_www_form(asked)}"
        end

        # Where the browser says it came from, as a path of ours; the bench when it is none.
        def page_before
          path = URI(request.referer.to_s).request_uri
          Web::SafePath.safe?(path[/\A[^?]*/]) ? path : "/"
        rescue URI::InvalidURIError, NoMethodError
          "/"
        end
      end
    end
  end
end
