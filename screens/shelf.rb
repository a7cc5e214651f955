# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # Parts: what lies on the shelf, what moved, and what fits where.
    module Shelf
      def self.registered(app)
        app.helpers Helpers

        app.get "/shelf" do
          @title = "Shelf"
          query = params["q"].to_s.strip
          erb :"shelf/page", locals: { parts: Queries::PartsOnShelf.call(query, after: params["after"].to_s),
                                       query: query }
        end

        app.get("/shelf/fit") { fit_page }

        app.get "/shelf/fit/find" do
          query = params["q"].to_s.strip[0, 80]
          erb :"shelf/_fit_hits", layout: false, locals: { found: Services::FindFit.call(query), query: query }
        end

        app.get("/shelf/:id") { part_page(Services::Lookup.one(:part, id_of(params["id"])), StockForm.blank) }

        app.post("/shelf/:id/order", may: :orders) do
          order_by_hand(Services::Lookup.one(:part, id_of(params["id"])), OrderForm.new(params))
        end

        app.post "/shelf/:id/:move", may: :stock do
          part = Services::Lookup.one(:part, id_of(params["id"]))
          form = { "receive" => StockForm, "count" => CountForm }.fetch(params["move"]) { pass }.new(params)
          unless form.ok?
            status 422
            next part_page(part, form, params["move"])
          end
          move(part, form, params["move"])
          say "#{part.name}: #{part.refresh.stock} on the shelf."
          redirect "/shelf/#{part.id}", 303
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def fit_page
          sheet_id = params["sheet"].to_s.empty? ? nil : id_of(params["sheet"])
          fit_page_of(FitAsked.new(params, sheet_id: sheet_id, today: today), FitForm.blank)
        end

        def fit_page_of(asked, form)
          @title = "What fits"
          status 422 if form.errors.any?
          erb :"shelf/fit", locals: { asked: asked, form: form }
        end

        def part_page(part, form, move = nil)
          @title = part.name
          erb :"shelf/part", locals: { part: part, page: Queries::PartOverview.new(part), form: form, failed: move,
                                       key: form.value(:request_key) || SecureRandom.uuid }
        end

        # Whatever the list proposes.
        def order_by_hand(part, form)
          form.add(ordered: ["has no supplier: change the part first"]) unless part.supplier
          unless form.ok?
            status 422
            return part_page(part, form, "order")
          end

          order = Services::PlaceOrder.call(part.supplier, pieces: { part.id => form.values[:ordered] },
            request_key: form.values[:request_key], by: person, at: now)
          redirect "/shelf/orders/#{order.number}", 303
        end

        def move(part, form, kind)
          if kind == "receive"
            Services::MoveStock.call(part, pieces: form.values[:pieces], kind: "received", by: person, at: now,
              request_key: form.values[:request_key])
          else
            Services::CountStock.call(part, pieces: form.values[:counted], reason: form.values[:reason], by: person,
              at: now)
          end
        end

        # @return [String] an address of the shelf, for the parts that were asked for
        def shelf_path(path, query, **more)
          asked = { q: (query unless query.empty?), **more }.compact
          asked.empty? ? path : "#{path}?#{URI.encode_www_form(asked)}"
        end

        # @return [String] where a rule says that a part fits
        def fit_words(rule)
          where = rule.model_title || "#{rule.family} family"
          [where, rule.body_style && "body style #{rule.body_style}", rule.position.tr("-", " ")].compact.join(", ")
        end

        # @return [String] as in "$16.50 since 27 Nov (Ines Varga); $15.90 before."
        def price_change_words(change)
          "#{money(change.after)} since #{day(zone_date(change.at))} (#{change.by}); #{money(change.before)} before."
        end

        # @return [Array<String>] what is known of a part, in a few words each
        def part_facts(part)
          [part.kind, money(part.price_cents), part.filter_class &&
            "class #{Core::Fit::FilterClass.words(part.filter_class)}",
           part.maker && "made by #{part.maker}", ("pattern part" if part.pattern),
           ("no longer made" if part.discontinued), supply_words(part),
           (attribute_words(part[:attributes]) unless part[:attributes].empty?), contents_words(part)].compact
        end

        def supply_words(part)
          return unless part.supplier

          packs = ", in packs of #{part.pack_pieces}" if part.pack_pieces > 1
          "from #{part.supplier.name} in #{counted(part.days_to_come, 'day')}#{packs}"
        end

        def contents_words(part)
          "holds #{part.contents.map { |kind, pieces| "#{pieces} × #{kind}" }.join(' and ')}" if part.contents.any?
        end

        def forecast_drawing(forecast, order)
          Drawings::PartForecast.new(weeks: forecast.weeks.to_a, walk_ins_a_week: forecast.walk_ins_a_week,
            free: order.free, level: order.level,
            days: forecast.days, today: today).render
        end

        def order_words(part, order)
          return "No longer made." if part.discontinued

          order.pieces.positive? ? "Order #{order.pieces}." : "Nothing to order."
        end

        def fit_ribbon(asked)
          Drawings::Ribbon.new(sheet: asked.sheet, marks: sheet_marks(asked.sheet), current: asked.place&.key,
            link: ->(key) { "/shelf/fit?sheet=#{asked.sheet_id}&at=#{key}" }).render
        end
      end
    end
  end
end
