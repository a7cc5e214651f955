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

        app.post "/rack/:stay/weigh", may: :work do
          on_rack { |stay| Services::WeighOnRack.call(stay, grams_typed, by: person, at: now) }
        end

        app.post "/rack/:stay/elsewhere", may: :work do
          on_rack do |stay|
            Services::DryElsewhere.call(stay, Job::Note.of(params["elsewhere"], :elsewhere), by: person, at: now)
          end
        end

        # What the scale shows, as the field in which it is wanted.
        app.get "/scale" do
          grams = Queries::ScaleNow.call(at: now)
          erb :"rack/_grams", layout: false, locals: {
            name: params["name"] == "dry_grams" ? "dry_grams" : "grams", grams: grams, heard: true,
            id: params["id"].to_s[/\A[\w-]{1,40}\z/] || "grams"
          }
        end

        app.post("/rack/sizes", may: :settings) { set_sizes }

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
          erb :"rack/page", locals: { slots: Queries::RackSlots.call, elsewhere: Queries::RackSlots.elsewhere,
                                      problem: problem, typed: typed, air: policies.drying_air,
                                      readings: Queries::RoomOfLate.call(now: now) }
        end

        # @return [Float, nil] nil for what is no mass
        def grams_in(typed)
          Core::Gauges::Quantities::Mass.parse(typed)
        end

        # @return [String] as in "182.5 g"
        def grams_words(grams)
          Core::Gauges::Quantities::Mass.words(grams)
        end

        # @return [Float]
        # @raise [Services::Invalid]
        def grams_typed(name = "grams")
          grams_in(params[name]) ||
            raise(Services::Invalid, { name.to_sym => ["Write what it weighs, as in 182.5 g."] })
        end

        def set_sizes
          sizes = params["size"].is_a?(Hash) ? params["size"].transform_keys(&:to_i).transform_values(&:to_i) : {}
          Services::SetRack.sizes(sizes, by: person, at: now)
          redirect "/rack", 303
        end

        # @return [Boolean] whether a scale can be asked
        def scale?
          return @scale if defined?(@scale)

          @scale = Queries::ScaleNow.any?
        end

        def room_history(readings)
          from = now - (Queries::RoomOfLate::HOURS * 3600)
          midnights = (1..3).map { |ago| Config::Zone.at(today - ago + 1, 0) }.select { |time| time > from }
          Drawings::RoomHistory.new(readings, from: from, till: now,
            days: midnights.map { |time| [time, day(zone_date(time))] }).render
        end

        # @param stay [Models::RackStay]
        # @return [String] what it weighs, and what that means
        def weighed_words(stay)
          last = stay.weighings.last
          return "Dry it weighed #{grams_words(stay.dry_grams)}." unless last

          "#{grams_words(last.grams)}, weighed #{moment(last.weighed_at)}: #{weight_means(stay, last)}."
        end

        def weight_means(stay, last)
          water = Core::Drying::WeighOut.new(stay.dry_grams, last.grams).water_grams
          return "#{grams_words(water)} of water in it" unless last.dry

          "as dry as before the wash#{", but not to be used before #{moment(stay.floor_at)}" if now < stay.floor_at}"
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

          "Drying room at #{figure(air.temperature_c)} °C and #{figure(air.humidity_percent)} % on the whole"
        end

        # @return [String] what is to be done with it, or when it is dry
        def drying_stay_words(stay)
          return "dry: take it off" if now >= stay.dry_at

          stay.to_turn ? "turn it over" : moment(stay.dry_at)
        end

        # @return [String] when it is dry, or that nobody can say
        def stay_clock_words(stay)
          return "over four days in this air: dry it elsewhere" if stay.too_damp
          return "dry since #{moment(stay.dry_at)}" if stay.dry?(now)

          "dry #{moment(stay.dry_at)}"
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
