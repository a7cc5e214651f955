# frozen_string_literal: true

require "stringio"

module UprightBench
  module Screens
    # Parts and prices out and in as a file: looked at before anything changes.
    module PartLists
      AGAIN_SECONDS = 1

      def self.registered(app)
        app.helpers Helpers
        out_routes(app)
        incoming_routes(app)
      end

      def self.out_routes(app)
        app.get("/shelf/list") { list_page }
        app.get("/shelf/list.csv", may: :bulk_export) do
          Services::Exported.note("parts and prices (CSV)", by: person, at: now)
          list = Formats::PartList.write(Queries::PartsOnShelf.for_a_file, currency: policies.currency)
          csv list, "parts-#{today.iso8601}"
        end
        app.get("/shelf/labels.pdf", may: :see_prices) { send_paper("shelf_labels", **labels_asked) }
      end

      def self.incoming_routes(app)
        app.post "/shelf/list", may: :price_lists, most_bytes: Doors::A_LONG_LIST do
          import = keep_list
          next redirect("/shelf/list/#{import.id}", 303) unless import.nil? || import.state == "bad"

          status 422
          list_page(import&.problems || ["Choose a file, or paste its lines."])
        end

        looked_at_routes(app)
        columns_routes(app)
      end

      def self.looked_at_routes(app)
        app.get("/shelf/list/:id", may: :price_lists) { changes_page(import_asked) }
        app.get("/shelf/list/:id/progress", may: :price_lists) { changes_page(import_asked, layout: false) }

        app.post "/shelf/list/:id", may: :price_lists do
          import = import_asked
          begin
            Services::ImportParts.ask(import, digest: params["digest"].to_s, by: person, at: now)
            redirect "/shelf/list/#{import.id}", 303
          rescue Services::Refused => e
            status 409
            changes_page(Services::ReadPartList.call(import.refresh), problem: e.message)
          end
        end
      end

      def self.columns_routes(app)
        app.get("/shelf/list/:id/columns", may: :price_lists) { columns_page(import_asked) }

        app.post "/shelf/list/:id/columns", may: :price_lists do
          import = import_asked
          kind = params["kind"].to_s.downcase.tr(" ", "_")[Formats::PartList::KIND]
          Services::KeepPartList.map(import, columns_typed(import), kind: kind, by: person, at: now)
          redirect "/shelf/list/#{import.id}", 303
        end
      end
      private_class_method :out_routes, :incoming_routes, :looked_at_routes, :columns_routes

      # Helpers of this screen's routes.
      module Helpers
        MOST_TYPED = 100_000 # letters that come back into the field

        def list_page(problems = [])
          @title = "Parts file"
          erb :"part_lists/page", locals: { problems: problems, typed: params["list"].to_s[0, MOST_TYPED],
                                            suppliers: Queries::SupplierNames.with_ids }
        end

        def columns_page(import)
          @title = "Columns"
          erb :"part_lists/columns", locals: { import: import, headers: headers_of(import) }
        end

        # @return [Array<String>] theirs, those that are left aside and those whose meaning is known
        def headers_of(import)
          [*import.headers.to_a, *import.meanings.to_hash.keys].uniq
        end

        # By their order on the page, as a name of theirs may hold any sign.
        # @return [Hash{String=>String}] theirs => ours; empty for what is left aside
        def columns_typed(import)
          typed = params["columns"].is_a?(Hash) ? params["columns"] : {}
          headers_of(import).each_with_index.to_h do |header, index|
            column = typed[index.to_s].to_s
            [header, Formats::PartList::COLUMNS.include?(column) ? column : ""]
          end
        end

        # @return [String, nil] which of our columns one of theirs is taken for
        def column_meant(import, header)
          import.meanings.to_hash.fetch(header) { Formats::ListColumns.likely(header) }
        end

        # @return [Hash{String=>String}]
        def part_columns
          { "" => "left aside" }.merge(Formats::PartList::COLUMNS.to_h { |name| [name, name.tr("_", " ")] })
        end

        # The file, or what was pasted.
        # @return [Models::PartImport, nil] nil when there is nothing in it
        def keep_list
          file = params["list_file"]
          source = if file.is_a?(Hash) && file[:tempfile]&.size&.positive?
                     file[:tempfile]
                   else
                     StringIO.new(params["list"].to_s)
                   end
          supplier = id_typed("supplier_id")
          Services::KeepPartList.call(source, by: person, at: now,
            supplier: supplier && Services::Lookup.one(:supplier, supplier))
        rescue Services::Invalid
          nil
        end

        def import_asked
          Services::Lookup.one(:part_import, id_of(params["id"]))
        end

        def changes_page(import, problem: nil, layout: !htmx?)
          @title = "Changes"
          reading = (import.reading || {}).to_hash
          erb :"part_lists/changes", layout: layout && page_layout,
            locals: { import: import, reading: reading, problem: problem || import.refused }
        end

        FIELD_WORDS = { price_cents: "price", cost_cents: "cost", lead_days: "delivery days", pack_pieces: "pack",
                        life_months: "months of service" }.freeze

        # @param change [Hash] as Services::ReadPartList tells it
        # @return [String] what is new, or what it was and will be
        # @return [Integer] changes beyond those that are listed
        def more_changes(reading)
          reading["new"] + reading["changed"] - reading["shown"].size
        end

        def change_words(change)
          fields = change.fetch("fields").transform_keys(&:to_sym)
          change["new"] ? new_words(fields) : changed_words(fields)
        end

        def new_words(fields)
          told = fields.reject { |_, (_, after)| after.nil? || after == false }
          told.map { |field, (_, after)| "#{field_words(field)} #{value_words(field, after)}" }.join(", ")
        end

        def changed_words(fields)
          fields.map do |field, values|
            "#{field_words(field)} #{values.map { |value| value_words(field, value) }.join(' → ')}"
          end.join("; ")
        end

        def field_words(field)
          FIELD_WORDS.fetch(field, field.to_s.tr("_", " "))
        end

        def value_words(field, value)
          return "none" if value.nil?
          return money(value) if field.end_with?("_cents")

          { true => "yes", false => "no" }.fetch(value, value)
        end

        # Of one part, of all that an order brought, or of those that are called so.
        def labels_asked
          return { part: id_of(params["part"]) } if params["part"]
          return { order: id_of(params["order"]) } if params["order"]

          { query: params["q"].to_s.strip[0, 100] }
        end
      end
    end
  end
end
