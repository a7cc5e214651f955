# frozen_string_literal: true

module UprightBench
  module Screens
    # Parts and prices out and in as a file: looked at before anything changes.
    module PartLists
      MOST_SHOWN = 200

      def self.registered(app)
        app.helpers Helpers
        app.get("/shelf/list") { list_page }
        app.get("/shelf/list.csv") { allow!(:bulk_export) && csv(Formats::PartList.write(parts_on_file), "parts-#{today.iso8601}") }
        app.get("/shelf/labels.pdf") { pdf shelf_labels, "shelf-labels" }

        app.post "/shelf/list", most_bytes: Doors::A_LONG_LIST do
          allow!(:price_lists)
          import = keep_list
          next redirect("/shelf/list/#{import.id}", 303) if import

          status 422
          list_page
        end

        app.get("/shelf/list/:id") { changes_page(import_asked) }

        app.post "/shelf/list/:id" do
          import = import_asked
          begin
            taken = Services::ImportParts.call(import, Formats::PartList.new(import.content).call, digest: params["digest"].to_s, by: person, at: now)
            say taken ? "Taken over: #{taken.changes.count(&:new?)} new, #{taken.changes.count { |change| !change.new? }} changed." : "This list was taken over before."
            redirect "/shelf", 303
          rescue Services::Refused => e
            status 409
            changes_page(import, e.message)
          end
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        def list_page
          @title = "Parts as a file"
          erb :"part_lists/page", locals: { problems: @problems || [], typed: typed_list }
        end

        # @return [Models::PartImport, nil] nil when it cannot be read, which @problems then say
        def keep_list
          Formats::PartList.new(typed_list).call
          Models::PartImport.create(content: typed_list, given_by: person.id, given_at: now)
        rescue Formats::Bad => e
          @problems = e.problems
          nil
        end

        # @return [String] the file, or what was pasted
        def typed_list
          @typed_list ||= begin
            file = params["list_file"]
            Config::Web::ReadableInput.mend(file.is_a?(Hash) && file[:tempfile] ? file[:tempfile].read.to_s : params["list"].to_s)
          end
        end

        def import_asked
          Services::Lookup.one(Models::PartImport, id_of(params["id"]))
        end

        def changes_page(import, problem = nil)
          @title = "What the list changes"
          changes = import.applied_at ? nil : Services::PartChanges.new(Formats::PartList.new(import.content).call)
          erb :"part_lists/changes", locals: { import: import, changes: changes, problem: problem }
        end

        def parts_on_file
          Models::Part.order(:number).eager(:stock_level, :supplier, :successor).all.map do |part|
            part.values.merge(supplier: part.supplier&.name, successor: part.successor&.number, on_shelf: part.stock)
          end
        end

        FIELD_WORDS = { price_cents: "price", cost_cents: "cost", lead_days: "days to come", pack_pieces: "comes by", life_months: "months of service" }.freeze

        def change_words(field, values)
          before, after = values.map { |value| value_words(field, value) }
          "#{FIELD_WORDS.fetch(field, field.to_s.tr('_', ' '))} #{before} → #{after}"
        end

        def value_words(field, value)
          return "none" if value.nil?
          return money(value) if field.end_with?("_cents")

          { true => "yes", false => "no" }.fetch(value, value)
        end

        MOST_LABELS = 300

        # Of one part, of all that an order brought, or of those that are called so.
        def shelf_labels
          found = labelled.eager(:supplier).order(:number).limit(MOST_LABELS).all.select { |part| part.number.ascii_only? }
          raise Services::NotFound, "There is no such part." if found.empty?

          Papers::ShelfLabel.new(shop: "#{shop.name}, #{shop.phone}", labels: found.map { |part| { name: part.name, number: part.number, price: money(part.price_cents) } }).render
        end

        def labelled
          return Models::Part.where(id: id_of(params["part"])) if params["part"]
          if params["order"]
            return Models::Part.where(id: Models::OrderLine.where(order_id: Models::SupplierOrder.where(number: id_of(params["order"])).select(:id)).select(:part_id))
          end

          shelf_found(params["q"].to_s.strip[0, 100])
        end
      end
    end
  end
end
