# frozen_string_literal: true

module UprightBench
  module Screens
    # Model sheets, drawn.
    module Sheets
      def self.registered(app)
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
