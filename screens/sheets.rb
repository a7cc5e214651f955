# frozen_string_literal: true

module UprightBench
  module Screens
    # Model sheets, drawn.
    module Sheets
      # Helpers of this screen's templates.
      module Helpers
        # What a place asks for by its sheet.
        def sheet_marks(core)
          core.positions.to_h do |place|
            [place.key, if place.washable? then :wash
                        elsif place.task("replace") then :replace
                        else :leave
                        end]
          end
        end
      end

      def self.registered(app)
        app.helpers Helpers

        app.get "/sheets" do
          @title = "Sheets"
          erb :"sheets/page", locals: { sheets: Models::Sheet.order(:maker, :model_name).all }
        end

        app.get "/sheets/:id" do
          sheet = Services::Lookup.one(Models::Sheet, id_of(params["id"]))
          @title = sheet.title
          erb :"sheets/sheet", locals: { sheet: sheet, core: sheet.to_core, versions: sheet.versions_dataset.select(:id, :version, :note, :created_at).all }
        end

        app.get "/sheets/:id/sheet.json" do
          sheet = Services::Lookup.one(Models::Sheet, id_of(params["id"]))
          content_type "application/json"
          attachment "#{sheet.title.downcase.tr(' ', '-')}.json"
          JSON.pretty_generate(Models::SheetVersion.with_pk!(sheet.current_version_id).content.to_hash)
        end
      end
    end
  end
end
