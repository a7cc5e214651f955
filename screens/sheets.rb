# frozen_string_literal: true

module UprightBench
  module Screens
    # The model sheets: the list, a sheet with its versions, and sheets as files.
    module Sheets
      def self.registered(app)
        app.helpers Helpers, FaultWords, StepWords
        pages_routes(app)
        files_routes(app)
      end

      def self.pages_routes(app)
        app.get("/sheets") { sheets_page }

        app.get "/sheets/find" do
          query = params["sheet_title"].to_s
          erb :"sheets/_found", layout: false, locals: { sheets: Queries::FindSheets.call(query), query: query }
        end

        app.get("/sheets/:id") { sheet_page(sheet_asked) }
      end
      private_class_method :pages_routes

      def self.files_routes(app)
        app.post("/sheets", may: :rough_sheets, most_bytes: Doors::A_FILE) { bring_in }

        app.get "/sheets/:id/sheet.json" do
          sheet = sheet_asked
          content_type "application/json"
          attachment "#{sheet.title.downcase.gsub(/[^a-z0-9]+/, '-')}.json"
          Formats::SheetFile.write(sheet.current_version.data)
        end
      end
      private_class_method :files_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        MOST_CHANGES = 40 # of a version that are listed

        def sheet_asked
          Services::Lookup.one(:sheet, id_of(params["id"]))
        end

        def sheet_page(sheet)
          history = Queries::SheetHistory.new(sheet, params["version"])
          @title = sheet.title
          erb :"sheets/sheet", locals: {
            sheet: sheet, core: history.shown.to_core, shown: history.shown, history: history,
            taken: Queries::MinutesTaken.call(sheet)
          }
        end

        # What a sheet says of each place, as marks: what may be washed, what has a clock for a new part, and the rest.
        def sheet_marks(core)
          core.positions.to_h { |place| [place.key, sheet_mark(place)] }
        end

        def sheet_mark(place)
          return :wash if place.washable?

          place.task("replace") ? :replace : :leave
        end

        def sheet_notes(core)
          core.positions.to_h { |place| [place.key, place.care || place.kind.to_s.tr("_", " ")] }
        end

        def sheet_ribbon(core)
          Drawings::Ribbon.new(sheet: core, marks: sheet_marks(core), notes: sheet_notes(core)).render
        end

        # A file that is refused stands in the field as it was, with what is wrong beside it.
        def bring_in
          text = SheetUpload.text(params)
          newest = Services::AddSheet.newest
          sheet = Services::AddSheet.call(Formats::SheetFile.read(text), by: person, at: now, note: "from a file")
          say sheet.current_version_id > newest ? "Sheet added from the file." : "The file says the same as the " \
            "sheet on file. Nothing changed."
          redirect "/sheets/#{sheet.id}", 303
        rescue Formats::Malformed => e
          sheets_page(typed: text, problems: e.problems)
        rescue Services::Invalid => e
          sheets_page(typed: text, problems: e.errors.values.flatten)
        end

        def sheets_page(typed: nil, problems: [])
          @title = "Sheets"
          status 422 if problems.any?
          erb :"sheets/page", locals: {
            list: Queries::SheetList.new(params["q"], params["after"]), typed: typed, problems: problems
          }
        end

        # @return [String] a link to a draft, with who began it
        def draft_link(draft)
          title = draft.content.values_at("maker", "model").join(" ")
          %(<a href="/drafts/#{draft.id}">#{h(title)}</a> (#{h(draft.beginner.name)}))
        end

        def sheet_summary(core)
          "#{core.kind}, #{core.power}, #{core.positions.size} places, " \
            "#{core.positions.sum { |place| place.tasks.size }} tasks with clocks, " \
            "warranty #{warranty_terms(core)}"
        end

        MOST_PROBLEMS = 40

        # @return [Array<String>] what is wrong with a file, the rest as a number
        def first_problems(problems)
          return problems if problems.size <= MOST_PROBLEMS

          [*problems.first(MOST_PROBLEMS), "and #{problems.size - MOST_PROBLEMS} more. Mend these first."]
        end

        # @return [String] as in "replace: 50 h of use, or 12 months"
        def task_words(task)
          "#{task.action}: #{task.clocks.map { |clock| clock_interval(clock, task) }.join(', or ')}"
        end

        # @return [String] as in "12 months, whatever is seen"
        def clock_interval(clock, task)
          fixed = clock.goes_by == :fixed && task.action == :replace
          "#{sentence(clock.interval)}#{', whatever is seen' if fixed}"
        end

        # @return [Hash{String=>String}] measure => words, those that the sheet gives
        def measures_of(place)
          English::Kinds.measures(place.kind, place.measures).slice(*place.measures.keys)
        end

        def more_sheets_path(list)
          "/sheets?#{URI.encode_www_form('q' => list.query, 'after' => list.sheets.last.id)}"
        end

        def place_names(core, keys)
          keys.map { |key| core.position(key).name.downcase }.join(", ")
        end

        # @return [String] what a new machine of the model reads
        def rated_words(core)
          units = { "suction_kpa" => "kPa suction", "flow_l_s" => "L/s air flow" }
          core.rated.slice(*units.keys).map { |key, value| "#{figure(value)} #{units.fetch(key)}" }.join(" and ")
        end

        def warranty_terms(core)
          hours = " or #{figure(core.warranty_hours)} hours of use" if core.warranty_hours
          "#{core.warranty_months} months#{hours}"
        end

        # @return [String] whether it may be washed, and how
        def water_words(place)
          return "Nobody knows whether it may be washed. " if place.water_unknown?
          return place.kind == :filter ? "Never wetted. " : "" unless place.washable?

          cleaner = ", #{place.cleaner}" if place.cleaner
          "May be washed, #{place.water}#{cleaner}; dries at least #{figure(place.drying_floor_hours)} h. "
        end

        # @return [Array<String>] how a place comes off, a sentence each
        def comes_off(core, place)
          steps = Core::Strip::Ways.new(core).to([place.key])
          [("after: #{steps.map { |step| step.name.downcase }.join(', ')}" if steps.any?),
           ("layer #{place.layer} in the #{place.seat}" if place.seat), ("alone: nothing stacked on it" if place.alone),
           ("never without #{place_names(core, [place.never_without])}" if place.never_without)].compact
        end

        # @return [String] as in "clip yes, frame wide"
        def attribute_words(attributes)
          attributes.map do |name, value|
            "#{name.tr('_', ' ')} #{{ true => 'yes', false => 'no' }.fetch(value, value)}"
          end.join(", ")
        end

        def station_name(core, place)
          core.stations.find { |station| station.key == place.station }.name.downcase
        end

        # @return [Array<String>] what a version changed
        def version_changes(version, before)
          if before
            Core::Sheets::Changes.new(before.data, version.data).call.first(MOST_CHANGES)
          else
            []
          end
        end
      end
    end
  end
end
