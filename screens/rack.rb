# frozen_string_literal: true

module UprightBench
  module Screens
    # The drying rack as it stands in the shop, place by place.
    module Rack
      def self.registered(app)
        app.helpers Helpers

        app.get("/rack") { rack_page }

        app.post "/rack/:stay/off" do
          stay = id_of(params["stay"])
          begin
            Services::TakeOffRack.call(stay, by: person, at: now, early_reason: Job::Note.of(params["early_reason"], :early_reason))
            redirect "/rack", 303
          rescue Services::Refused, Services::Invalid => e
            status Config::Web::ErrorTable.status(e)
            rack_page(problem: { stay: stay, message: e.message }, typed: params)
          end
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def rack_page(problem: nil, typed: {})
          @title = "Rack"
          places = Models::RackPlace.order(:id).eager(stay: { work_item: { job: :customer } }).all
          erb :"rack/page", locals: { places: places, problem: problem, typed: typed, room: policies.room }
        end

        def rack_clock(stay)
          share = (now - stay.washed_at) / (stay.dry_at - stay.washed_at)
          Drawings::RackClock.new(share: share, label: stay.dry?(now) ? "dry" : "wet until #{moment(stay.dry_at)}").render
        end
      end
    end
  end
end
