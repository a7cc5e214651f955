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
          erb :"shelf/page", locals: { parts: shelf_parts(query, params["after"].to_s), query: query }
        end

        app.get("/shelf/fit") { fit_page }

        app.get "/shelf/fit/find" do
          query = params["q"].to_s.strip[0, 80]
          erb :"shelf/_fit_hits", layout: false, locals: { found: Services::FindFit.call(query), query: query }
        end

        app.get("/shelf/:id") { part_page(Services::Lookup.one(Models::Part, id_of(params["id"])), StockForm.blank) }

        app.post "/shelf/:id/:move" do
          part = Services::Lookup.one(Models::Part, id_of(params["id"]))
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
        MOST = 200

        # @param after [String] the number of the last part seen
        def shelf_parts(query, after)
          found = Models::Part.called(query).eager(:stock_level, :fit_rules, :forecast).order(:number).limit(MOST)
          (after.empty? ? found : found.where { number > after }).all
        end

        # @return [Sequel::Dataset] parts that are called so, by number or name
        def fit_page
          @title = "What fits"
          sheet_id = params["sheet"].to_s.empty? ? nil : id_of(params["sheet"])
          erb :"shelf/fit", locals: { asked: FitAsked.new(params, sheet_id: sheet_id, today: today) }
        end

        def part_page(part, form, move = nil)
          @title = part.name
          erb :"shelf/part", locals: { part: part, form: form, failed: move, key: form.value(:request_key) || SecureRandom.uuid,
                                       fits: Services::FitsOf.call(part), kept: Services::Kept.claims(part), forecast: part.forecast,
                                       moves: part.stock_moves_dataset.eager(:mover, :job).limit(30).all }
        end

        def move(part, form, kind)
          if kind == "receive"
            Services::MoveStock.call(part, pieces: form.values[:pieces], kind: "received", by: person, at: now, request_key: form.values[:request_key])
          else
            Services::CountStock.call(part, pieces: form.values[:counted], reason: form.values[:reason], by: person, at: now)
          end
        end

        def fit_words(rule)
          where = rule.model_title || "#{rule.family} family"
          [where, rule.body_style && "body style #{rule.body_style}", rule.position.tr("-", " ")].compact.join(", ")
        end
      end
    end
  end
end
