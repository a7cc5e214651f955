# frozen_string_literal: true

module UprightBench
  module Screens
    # Parts by post: packed at the counter's page, sent, and fitted at home or come back.
    module Parcels
      def self.registered(app)
        app.helpers Helpers

        app.get "/parcels" do
          @title = "Parcels"
          erb :"parcels/page", locals: { under_way: Queries::ParcelsMade.under_way, ended: Queries::ParcelsMade.ended }
        end

        app.post "/parcels", may: :work do
          Services::PackParcel.call(sale_typed, postage_cents: postage_typed, card_id: id_typed("card_id"), by: person,
            at: now)
          say "Packed. Print its slip, and say when it is sent."
          redirect "/parcels", 303
        rescue Services::Invalid, Services::Refused => e
          status 422
          sale_page(problem: e.message)
        end

        app.get("/parcels/:id/slip.pdf") { pdf packing_slip(parcel_asked), "parcel-#{params['id']}" }

        app.post "/parcels/:id/:how", may: :work do
          Services::MoveParcel.call(parcel_asked, params["how"].to_s, on: day_of(params["on"]), by: person, at: now)
          redirect "/parcels", 303
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def parcel_asked
          Services::Lookup.one(:parcel, id_of(params["id"]))
        end

        # @return [Integer] cents
        # @raise [Services::Invalid]
        def postage_typed
          typed = params["postage"].to_s.strip
          return 0 if typed.empty?

          currency = policies.currency
          currency.cents(typed) ||
            raise(Services::Invalid, { postage: ["The postage is a sum, for example #{currency.plain(650)}."] })
        end

        # @return [String] PDF
        def packing_slip(parcel) # rubocop:disable Metrics/AbcSize -- one paper
          lines = parcel.bill.to_lines.map { |line| [line.words, line.note.to_s] }
          Papers::PackingSlip.new(shop: [shop.name, postal_rest(shop), shop.phone], address: parcel.address.to_a,
            title: "Parcel for bill #{parcel.bill.number}", date: full_day(zone_date(parcel.packed_at)), lines: lines,
            notes: parcel_notes(parcel)).render(**paper_look)
        end

        # @return [Array<String>] where its parts are put in
        def parcel_notes(parcel)
          return [] unless parcel.machine

          sheet = parcel.machine.to_core
          names = parcel.fitted.to_hash.keys.select { |key| sheet.position?(key) }
            .map { |key| sheet.position(key).name.downcase }
          [names.empty? ? "For your #{sheet.title}." : "For your #{sheet.title}: #{list_words(names)}."]
        end
      end
    end
  end
end
