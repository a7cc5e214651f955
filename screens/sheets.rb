# frozen_string_literal: true

module UprightBench
  module Screens
    # Model sheets, drawn: the list, one of them with its versions, and as files in and out.
    module Sheets
      A_PAGE = 20
      MOST_VERSIONS = 30

      def self.registered(app)
        app.helpers Helpers
        pages(app)
        files(app)
      end

      def self.pages(app)
        app.get("/sheets") { sheets_page }

        app.get "/sheets/:id" do
          sheet = Services::Lookup.one(Models::Sheet, id_of(params["id"]))
          versions = sheet.versions_dataset.reverse(:version).limit(MOST_VERSIONS + 1).eager(:writer).all
          shown = versions.find { |one| one.version.to_s == params["version"] } || versions.first
          @title = sheet.title
          erb :"sheets/sheet", locals: { sheet: sheet, core: shown.to_core, shown: shown, versions: versions }
        end
      end
      private_class_method :pages

      def self.files(app)
        app.post("/sheets", most_bytes: Doors::A_FILE) { bring_in }

        app.get "/sheets/:id/sheet.json" do
          sheet = Services::Lookup.one(Models::Sheet, id_of(params["id"]))
          content_type "application/json"
          attachment "#{sheet.title.downcase.gsub(/[^a-z0-9]+/, '-')}.json"
          Formats::SheetFile.write(Models::SheetVersion.with_pk!(sheet.current_version_id).content.to_hash)
        end
      end
      private_class_method :files

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

        def sheet_notes(core)
          core.positions.to_h { |place| [place.key, place.care || place.kind.to_s.tr("_", " ")] }
        end

        def bring_in
          text = SheetUpload.text(params)
          newest = Models::SheetVersion.max(:id).to_i
          sheet = Services::AddSheet.call(Formats::SheetFile.read(text), by: person, at: now, note: "from a file")
          say sheet.current_version_id > newest ? "Read from the file and kept." : "The file says what is on file already; nothing was changed."
          redirect "/sheets/#{sheet.id}", 303
        rescue Formats::Bad => e
          sheets_page(typed: text, problems: e.problems)
        rescue Services::Invalid => e
          sheets_page(typed: text, problems: e.errors.values.flatten)
        end

        # @param typed [String, nil] a file that was refused
        # @param problems [Array<String>] why
        def sheets_page(typed: nil, problems: [])
          @title = "Sheets"
          status 422 if problems.any?
          erb :"sheets/page", locals: { list: SheetList.new(params["q"], params["after"]), drafts: Models::Draft.eager(:sheet, :beginner).order(:id).all,
                                        typed: typed, problems: problems }
        end

        # The names of places, for the columns that point at others.
        def place_names(core, keys)
          keys.map { |key| core.position(key).name.downcase }.join(", ")
        end
      end
    end
  end
end
