# frozen_string_literal: true

module UprightBench
  module Screens
    # The machine of a job opened and closed: the step in hand large, with one key; the tray beside it, a lane a step.
    module Strip
      KEYS = [["d", "all of it: out, or back in"]].freeze

      def self.registered(app)
        app.helpers Helpers, StripWords
        app.get("/jobs/:number/strip") { strip_page(id_of(params["number"])) }

        { "out" => Services::OpenStep, "in" => Services::CloseStep }.each do |way, service|
          app.post "/jobs/:number/strip/:key/#{way}", may: :work do
            tray_step(params["key"].to_s) do |number, said|
              service.call(number, params["key"].to_s, counts: CountForm.read(params["counts"]), **said)
            end
          end
        end
        differences_routes(app)
        pictures_routes(app)
      end

      def self.differences_routes(app)
        app.post "/jobs/:number/differences/:id", may: :work do
          id = id_of(params["id"])
          tray_step("difference-#{id}") do |number, said|
            Services::SettleDifference.call(number, id, found: params["found"] == "1",
              explanation: Job::Note.of(params["explanation"], :explanation).to_s, **said)
          end
        end

        app.post "/jobs/:number/tools-back", may: :work do
          tray_step("tools") do |number, said|
            Services::ToolsBack.call(number, missing: Job::Note.of(params["missing"], :missing).to_s, **said)
          end
        end
      end

      def self.pictures_routes(app)
        app.post "/jobs/:number/strip/:key/pictures", may: :work, most_bytes: Doors::PICTURES do
          tray_step("pictures-#{params['key']}") do |number, said|
            raise Services::Invalid, { pictures: ["Choose a picture first."] } if uploads.empty?

            Services::AddPictures.call(number, Services::AddPictures.prepare(uploads), step: params["key"].to_s, **said)
          end
        end

        app.get "/jobs/:number/tray-sheet.pdf" do
          number = id_of(params["number"])
          page = Queries::StripPage.new(Services::Lookup.job_to_show(number), now: now)
          pdf TrayPaper.new(page, date: full_day(today), look: paper_look).render, "tray-sheet-#{number}"
        end
      end
      private_class_method :differences_routes, :pictures_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        # @param where [String] what the message stands beside
        def tray_step(where)
          number = id_of(params["number"])
          yield number, { by: person, at: now }
          redirect "/jobs/#{number}/strip#now", 303
        rescue Services::Refused, Services::Stale, Services::Invalid => e
          status Web::ErrorTable.status(e)
          strip_page(number, problem: { where: where, message: e.message }, typed: params)
        end

        def strip_page(number, problem: nil, typed: {})
          page = Queries::StripPage.new(Services::Lookup.job_to_show(number), now: now)
          @title = "Job #{number}: open and close"
          @keys = KEYS
          erb :"strip/page", locals: { page: page, problem: problem, typed: typed }
        end

        # @return [String] SVG, one drawing for each kind of fastener that lies on the tray
        def held_side(fastener, count)
          Drawings::HeldSide.new(fastener, count: count).render
        end

        def lane_plan(lane)
          lane.step.fasteners.any? { |held| held.at.any? } ? Drawings::StepPlan.new(lane.step).render : ""
        end
      end
    end
  end
end
