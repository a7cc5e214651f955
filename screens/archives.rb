# frozen_string_literal: true

module UprightBench
  module Screens
    # Everything of the shop in one file, for the owner.
    module Archives
      AGAIN_SECONDS = 2

      def self.registered(app)
        app.helpers Helpers

        app.get("/archives", may: :moving_out) { archives_page }

        app.post "/archives", may: :moving_out do
          Services::TakeOut.ask(bills: params["bills"] == "1", by: person, at: now)
          redirect "/archives", 303
        end

        app.get "/archives/:id", may: :moving_out do
          run = Services::Lookup.one(:archive_run, id_of(params["id"]))
          path = Services::TakeOut.fetch(run, by: person, at: now)
          headers "cache-control" => "no-store"
          send_file path.to_s, type: "application/zip", disposition: :attachment,
            filename: "upright-bench-#{zone_date(run.asked_at).iso8601}.zip"
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        def archives_page
          @title = "Everything in one file"
          runs = Services::TakeOut.newest
          erb :"archives/page", layout: htmx? ? false : page_layout,
            locals: { runs: runs, under_way: runs.any? { |run| run.finished_at.nil? } }
        end

        # @param run [Models::ArchiveRun]
        # @return [String]
        def archive_words(run)
          return run.failed if run.failed
          return "being written" unless run.finished_at

          "#{run.rows} rows, #{figure((run.bytes / 1024.0 / 1024).round(1))} MB"
        end
      end
    end
  end
end
