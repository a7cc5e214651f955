# frozen_string_literal: true

module UprightBench
  module Screens
    # The walk along the air path: every station on one page, one of them in hand, each place saved at once. Two people
    # may walk the same machine: a page asks every few seconds for what the other one recorded.
    module LookOver
      KEYS = [["↓ ↑", "next and previous place"], ["← →", "next and previous station"],
              ["1 to 5", "on a place: leave, clean, wash, replace, refer"],
              ["Enter", "on a place: to its measure; in a measure: save and go on"],
              ["0 to 5", "in a scale: that step; in a list: that word"],
              ["f", "all the rest of this station is fine"], ["k", "skip this place"]].freeze

      def self.registered(app)
        app.helpers Helpers
        pages_routes(app)
        saves_routes(app)
        shortcuts_routes(app)
      end

      def self.pages_routes(app)
        app.get("/jobs/:number/look-over") { walk_page(id_of(params["number"])) }

        app.get "/jobs/:number/look-over/changes" do
          walk = walk_of(job_asked)
          halt 204 if walk.stamp <= since

          show_changed(walk)
        end

        app.post("/jobs/:number/look-over", may: :work) { finish(id_of(params["number"])) }
      end
      private_class_method :pages_routes

      def self.saves_routes(app)
        app.post "/jobs/:number/findings/:position", may: :work do
          save_finding(id_of(params["number"]), params["position"])
        end

        app.post "/jobs/:number/skips/:position", may: :work do |_, position|
          job = job_asked
          save(job, position) do
            Services::SkipPlace.call(job.number, position, reason: skip_reason, by: person, at: now)
          end
        end
      end
      private_class_method :saves_routes

      def self.shortcuts_routes(app)
        app.post "/jobs/:number/stations/:station/fine", may: :work do |_, station|
          job = job_asked
          save(job, params["at"].to_s) do
            @left_over = Services::FineRest.call(job.number, station, by: person, at: now)
          end
        end

        app.post "/jobs/:number/fitted/:position", may: :work do |_, position|
          job = job_asked
          save(job, position) do
            Services::SayWhenFitted.call(job.number, position, on: fitted_on, by: person, at: now)
          end
        end
      end
      private_class_method :shortcuts_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        LONGEST_REASON = 200

        def walk_of(job, at: params["at"], form: nil)
          Walk.new(job, at: at&.to_s, now: now, policies: policies, person: person, form: form)
        end

        def finish(number)
          Services::FinishLookOver.call(number, by: person, at: now)
          redirect "/jobs/#{number}#next", 303
        rescue Services::Refused => e
          status 409
          walk_page(number, problem: e.message)
        end

        def walk_page(number, problem: nil, at: params["at"], form: nil)
          @title = "Look over #{number}"
          @keys = KEYS
          @script = "look_over.js"
          erb :"look_over/page", locals: {
            walk: walk_of(Services::Lookup.job_to_show(number), at: at, form: form), problem: problem
          }
        end

        # The job is read once, locked: its sheet says what may be recorded at the place.
        def save_finding(number, position)
          job = form = nil
          Services::RecordFinding.call(number, position, policy: policies.findings, by: person, at: now) do |locked|
            job = locked
            form = FindingForm.of(job, params, policies.findings)
            raise Services::Invalid, form.errors unless form.ok?

            form.finding
          end
          answer_saved(job, position, form)
        rescue Services::Invalid, Services::Stale, Services::Refused => e
          status Web::ErrorTable.status(e)
          show_saved(job, position, said_of(e), form)
        end

        def said_of(error)
          error.is_a?(Services::Invalid) ? "Not saved: see the marked field." : error.message
        end

        # Saves by the block; shows the place again, alone for an open page, with what went wrong if something did.
        # @param job [Models::Job] as it was before
        def save(job, key)
          yield
          answer_saved(job, key, nil)
        rescue Services::Stale, Services::Refused => e
          status Web::ErrorTable.status(e)
          show_saved(job, key, e.message, nil)
        end

        def answer_saved(job, key, form)
          htmx? ? show_saved(job, key, nil, form) : redirect("/jobs/#{job.number}/look-over?at=#{key}", 303)
        end

        # The browser lets go of an entry when this says so (look_over.js).
        def show_saved(job, key, problem, form)
          headers "x-entry" => problem ? "refused" : "taken"
          return walk_page(job.number, problem: problem, at: key, form: (form if problem)) unless htmx?

          show_changed(walk_of(job, at: params["at"] || key, form: (form if problem)), key => problem)
        end

        # The rows that changed since the page was drawn, and always those in `own`; the ribbon and the outcome with
        # them.
        # @param own [Hash{String=>String, nil}] position => what went wrong there
        def show_changed(walk, own = {})
          keys = walk.changed(since) | own.keys
          rows = walk.sheet.walk.select { |place| keys.include?(place.key) }
          walk.draw_only(rows)
          loose = own.reject { |key, _| rows.any? { |place| place.key == key } }.values.compact.first
          erb :"look_over/_saved", layout: false, locals: { walk: walk, rows: rows, problems: own, loose: loose }
        end

        def since
          params["since"].to_s[/\A\d{1,18}\z/].to_i
        end

        # One of the usual reasons, or what was written beside them.
        def skip_reason
          reason = params[params.key?("other") ? "other_reason" : "reason"].to_s.strip
          if reason.length > LONGEST_REASON
            raise Services::Refused, "That reason is too long: at most #{LONGEST_REASON} letters."
          end
          raise Services::Refused, "Write why it is skipped." if params.key?("other") && reason.empty?
          return reason unless reason.include?(Form::UNREADABLE)

          raise Services::Refused, "Some signs of the reason could not be read. Type them again."
        end

        # @return [String, nil] what "all the rest is fine" did not say fine
        def left_over_words
          return if @left_over.to_a.empty?

          "Still to look at by itself: #{English::List.of(@left_over.map { |place| place.name.downcase })}. " \
            "A fault there can hurt somebody."
        end

        # @return [Date, nil] nil when it was never changed
        def fitted_on
          return if params["fitted"] == "never"

          Core::Units::Day.parse(params["fitted_on"].to_s) or raise Services::Refused, "Choose a day."
        end

        # @return [String] as in "Replace was due 17 Jun 2025 (calendar)."
        def overdue_words(due)
          if due.deciding.to_sym == :unknown
            return "Nobody knows when it was last #{Core::Findings::VerdictKind.past_of(due.action)}: look at it."
          end

          "#{due.action.capitalize} was due #{day(due.due_on)} (#{clock_words(due.deciding)})."
        end

        # @return [String] a link that brings a place in hand
        def go_to(walk, key)
          place = walk.sheet.position(key)
          %(<a data-go="#{key}" href="#{walk.path_to(place)}">#{h(place.name.downcase)}</a>)
        end

        # What was found last time, in as many words as fit beside today's.
        def last_words(finding, place)
          unit = policies.findings.length_unit
          fields = place.kind_of_part.fields
          seen = FindingForm.written(place, finding.seen, unit: unit)
          seen.filter_map do |name, value|
            English::Fields.words(place.kind_of_part, name, value, unit: unit) if value && fields.key?(name)
          end.join(", ")
        end
      end
    end
  end
end
