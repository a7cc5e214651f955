# frozen_string_literal: true

module UprightBench
  module Screens
    # A sheet being edited: every change is saved to its draft at once and the ribbon redrawn; the draft becomes a
    # version when somebody says why.
    module Drafts
      def self.registered(app)
        app.helpers Helpers
        beginning_routes(app)
        ending_routes(app)
        changing_routes(app)
      end

      def self.beginning_routes(app)
        app.get "/sheets/new" do
          @title = "New sheet"
          erb :"drafts/new", locals: { form: NewForm.blank(relative_asked) }
        end

        app.post("/drafts", may: :rough_sheets) { begin_new_sheet(NewForm.new(with_relative(params))) }

        app.post "/sheets/:id/draft", may: :rough_sheets do
          draft = Services::BeginDraft.of(Services::Lookup.one(:sheet, id_of(params["id"])), by: person, at: now)
          redirect "/drafts/#{draft.id}", 303
        end
      end
      private_class_method :beginning_routes

      def self.ending_routes(app)
        app.get("/drafts/:id") { draft_page(draft_asked) }

        app.post("/drafts/:id/keep", may: :rough_sheets) { keep(draft_asked, params["note"].to_s.strip) }

        app.post "/drafts/:id/drop", may: :rough_sheets do
          draft = draft_asked
          Services::DropDraft.call(draft, by: person)
          say "Draft discarded. The sheet is as it was."
          redirect "/sheets", 303
        end
      end
      private_class_method :ending_routes

      def self.changing_routes(app)
        app.post "/drafts/:id/head", may: :rough_sheets do
          change("head", "head") { |edit| edit.head(HeadFields.read(params)) }
        end
        stations_routes(app)
        positions_routes(app)
        opening_routes(app)
      end

      def self.stations_routes(app)
        app.post "/drafts/:id/stations", may: :rough_sheets do
          change(params["at"].to_s) do |edit|
            edit.put_station(named(params["name"]), after: params["after"].to_s.then { |key| key.empty? ? nil : key })
          end
        end

        app.post "/drafts/:id/stations/:key", may: :rough_sheets do
          change(params["at"].to_s) do |edit|
            change_row(edit, "stations", params["key"]) { edit.rename_station(params["key"], named(params["name"])) }
          end
        end
      end

      def self.positions_routes(app)
        app.post "/drafts/:id/positions", may: :rough_sheets do
          fields = { "name" => named(params["name"]), "station" => params["station"].to_s,
                     "kind" => params["kind"].to_s }
          added = nil
          change(-> { added }) { |edit| edit.put_position(fields).then { |content, key| (added = key) && content } }
        end

        app.post "/drafts/:id/positions/:key", may: :rough_sheets do
          key = params["key"]
          change(key, "position") do |edit|
            change_row(edit, "positions", key) { edit.position(key, PositionFields.read(params)) }
          end
        end
      end

      def self.opening_routes(app)
        app.post "/drafts/:id/steps", may: :rough_sheets do
          added = nil
          change(-> { added && "#{View::STEP}#{added}" }) do |edit|
            edit.put_step(named(params["name"])).then { |content, key| (added = key) && content }
          end
        end

        app.post "/drafts/:id/steps/:key", may: :rough_sheets do
          key = params["key"]
          change("#{View::STEP}#{key}", "step") do |edit|
            change_row(edit, "steps", key) { edit.step(key, StepFields.read(params)) }
          end
        end
      end
      private_class_method :changing_routes, :stations_routes, :positions_routes, :opening_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        MOVES = { "up" => -1, "down" => 1 }.freeze
        FIRST_VERSION = "first version"

        def draft_asked
          Services::Lookup.one(:draft, id_of(params["id"]))
        end

        # @return [Hash{String=>String}] the sheet that is to be copied, as it would be typed
        def relative_asked
          return {} if params["from"].to_s.empty?

          sheet = Services::Lookup.one(:sheet, id_of(params["from"]))
          { "relative_id" => sheet.id.to_s, "sheet_title" => sheet.title }
        end

        # A sheet that was typed in full, and not chosen from the list, is the one of that name.
        def with_relative(params)
          return params unless params["relative_id"].to_s.empty? && !params["sheet_title"].to_s.strip.empty?

          params.merge("relative_id" => Queries::FindSheets.exactly(params["sheet_title"].to_s).to_s)
        end

        # @return [Hash{String=>String}] key => what it is called
        def starters
          Services::Starters.titles
        end

        def begin_new_sheet(form)
          draft = begin_draft(form)
          return redirect("/drafts/#{draft.id}", 303) if draft

          @title = "New sheet"
          status 422
          erb :"drafts/new", locals: { form: form }
        end

        def begin_draft(form)
          return unless form.ok?

          relative = form.values[:relative_id] && Services::Lookup.one(:sheet, form.values[:relative_id])
          Services::BeginDraft.fresh(**form.values.slice(:maker, :model), **form.begun_from,
            relative: relative, starter: form.starter, by: person, at: now)
        rescue Services::Invalid => e
          form.add(e.errors)
          nil
        rescue Core::Sheets::Invalid => e
          form.add(base: e.problems.map(&:to_s))
          nil
        end

        def keep(draft, note)
          sheet = Services::KeepDraft.call(draft, note: what_is_new(draft, note), by: person, at: now,
            over: params["over"].to_s[/\A\d{1,18}\z/]&.to_i)
          say "Saved as a new version. Jobs under way keep theirs."
          redirect "/sheets/#{sheet.id}", 303
        rescue Services::Invalid, Services::Stale => e
          status Web::ErrorTable.status(e)
          draft_page(draft, unkept: e.message, note: note)
        end

        # @raise [Services::Invalid]
        def what_is_new(draft, note)
          return FIRST_VERSION if note.empty? && draft.sheet.nil?
          raise Services::Invalid, { note: ["Say what is new."] } if note.empty?
          raise Services::Invalid, { note: ["Too long: at most 300 letters."] } if note.length > 300

          note
        end

        # Changes the draft by the block and shows it; what breaks a rule is shown beside what was typed.
        # @param at [String, #call] the place in hand afterwards
        # @param form [String, nil] the form whose typed values stand when it is refused
        def change(at, form = nil, &)
          draft = draft_asked
          Services::EditDraft.call(draft, version: version_asked, by: person, &)
          changed(draft, at.respond_to?(:call) ? at.call : at)
        rescue Services::Stale => e
          status 409
          draft_page(draft.refresh, at: before(at), said: [e.message])
        rescue Core::Sheets::Invalid => e
          status 422
          draft_page(draft, at: before(at), problems: e.problems, typed: form && { form => params })
        end

        def version_asked
          params["lock_version"].to_s[/\A\d{1,9}\z/].to_i
        end

        def changed(draft, place)
          htmx? ? draft_page(draft, at: place) : redirect("/drafts/#{draft.id}?at=#{::Rack::Utils.escape(place)}", 303)
        end

        # A place that is known only when the change is made was not there before.
        def before(at)
          at.respond_to?(:call) ? nil : at
        end

        # Moves or takes out a row when its button was pressed; else the block changes it.
        def change_row(edit, list, key)
          return edit.move(list, key, MOVES.fetch(params["move"])) if MOVES.key?(params["move"])

          params.key?("take_out") ? edit.take_out(list, key) : yield
        end

        def named(text)
          text.to_s.strip
        end

        def draft_ribbon(view)
          Drawings::Ribbon.new(sheet: view.core, marks: sheet_marks(view.core), current: view.at,
            link: ->(key) { "/drafts/#{view.draft.id}?at=#{key}" }).render
        end

        # @return [Hash{Object=>String}] turns of a lock => words, the one that the sheet gives among them
        def lock_turns(row)
          { "" => "no lock" }.merge(PositionFields.turns(row["turns"]))
        end

        # @return [Hash{String=>String}]
        def fastener_kinds
          Core::Sheets::Fastener::KINDS.transform_values(&:first)
        end

        # @return [String] which steps come before the place in hand
        def reached_by_words(view)
          steps = Core::Strip::Ways.new(view.core).to([view.at])
          steps.empty? ? "nothing has to be opened" : steps.map { |step| step.name.downcase }.join(", then ")
        end

        # @return [String] SVG of the step in hand, with what holds it
        def step_plan(view)
          Drawings::StepPlan.new(view.core.step(view.step["key"]), edited: true).render
        end

        # @return [Hash{String=>String}]
        def complaint_choices
          Core::Faults::Complaints::ALL.to_h { |complaint| [complaint.key.to_s, complaint.words] }
        end

        # @return [Hash{String=>String}] what can be wrong with the kind of part in hand
        def fault_choices(view)
          kind = view.position["kind"].to_s.to_sym
          return {} unless Core::Kinds::ALL.key?(kind) # a draft's kind may be wrong yet

          Core::Faults::Possible.at(kind)
            .to_h { |key, _| [key.to_s, English::Faults.of(kind, key)] }
        end

        # What is filled in stands open.
        def fault_fields_open?(view)
          %w[shares lights].any? { |list| view.rows(list).size > 1 || view.errors(list).any? } ||
            %w[look sign tool].any? { |field| view.position[field].to_s != "" }
        end

        def draft_page(draft, at: params["at"], **more)
          @title = "Draft"
          @script = "step_plan.js"
          view = View.new(draft, at: at.to_s, **more)
          erb :"drafts/page", layout: !htmx?, locals: { view: view }
        end
      end
    end
  end
end
