# frozen_string_literal: true

module UprightBench
  module Screens
    # The drying rack as it stands in the shop, slot by slot.
    module Rack
      def self.registered(app)
        app.helpers Helpers

        app.get("/rack") { rack_page }

        app.post "/rack/slots", may: :settings do
          set_rack
        end

        app.post "/rack/:stay/off", may: :work do
          on_rack do |stay|
            Services::TakeOffRack.call(stay, by: person, at: now,
              early_reason: Job::Note.of(params["early_reason"], :early_reason))
          end
        end

        app.post "/rack/:stay/turn", may: :work do
          on_rack { |stay| Services::TurnOnRack.call(stay, by: person, at: now) }
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def on_rack
          stay = id_of(params["stay"])
          yield stay
          redirect "/rack", 303
        rescue Services::Refused, Services::Invalid => e
          status Web::ErrorTable.status(e)
          rack_page(problem: { stay: stay, message: e.message }, typed: params)
        end

        def rack_page(problem: nil, typed: {})
          @title = "Drying rack"
          erb :"rack/page", locals: { slots: Queries::RackSlots.call, problem: problem, typed: typed,
                                      air: policies.drying_air }
        end

        def set_rack
          slots = params["slots"].to_s[/\A\s*\d{1,4}\s*\z/]
          raise Services::Invalid, { slots: ["Write a number."] } unless slots

          Services::SetRack.call(slots.to_i, by: person, at: now)
          redirect "/rack", 303
        rescue Services::Invalid, Services::Refused => e
          status Web::ErrorTable.status(e)
          rack_page(problem: { stay: :slots, message: e.message })
        end

        # @return [String] how full it is
        def rack_words(slots)
          taken = slots.filter_map(&:stay)
          dry = taken.count { |stay| stay.dry?(now) }
          "#{taken.size} of #{slots.size} slots taken#{", #{dry} dry" if taken.any?}."
        end

        def air_words(air)
          return "No reading of the drying room" unless air

          "Drying room at #{figure(air.temperature_c)} °C and #{figure(air.humidity_percent)} %"
        end

        # @return [String] what is to be done with it, or when it is dry
        def drying_stay_words(stay)
          return "dry: take it off" if now >= stay.dry_at

          stay.to_turn ? "turn it over" : moment(stay.dry_at)
        end

        def slot_css(slot)
          ["rack-slot", ("rack-free" unless slot.stay), ("rack-dry" if slot.stay&.dry?(now))].compact.join(" ")
        end

        def rack_clock(stay)
          share = (now - stay.washed_at) / (stay.dry_at - stay.washed_at)
          Drawings::RackClock.new(share: share, label: stay.dry?(now) ? "dry" : "wet until #{moment(stay.dry_at)}")
            .render
        end
      end
    end
  end
end
