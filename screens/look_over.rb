# frozen_string_literal: true

module UprightBench
  module Screens
    # The walk along the air path: one station in hand, its positions as rows, each saved at once.
    module LookOver
      KEYS = [["↓ ↑", "next and previous place"], ["← →", "next and previous station"], ["1 to 5", "on a place: leave, clean, wash, replace, refer"],
              ["Enter", "on a place: to its measure; in a measure: save and go on"], ["0 to 5", "in a scale: that step; in a list: that word"]].freeze

      def self.registered(app)
        app.helpers Helpers

        app.get "/jobs/:number/look-over" do
          walk = Walk.new(Services::Lookup.visit(id_of(params["number"])), at: params["at"], now: now, policies: policies)
          @title = "Look over #{walk.job.number}"
          @keys = KEYS
          erb :"look_over/page", layout: !htmx?, locals: { walk: walk }
        end

        app.post "/jobs/:number/findings/:position" do
          number = id_of(params["number"])
          form = FindingForm.of(Services::Lookup.job(number), params)
          problem = record(number, form)
          next redirect("/jobs/#{number}/look-over?at=#{form.position.key}", 303) unless htmx? || problem

          show_row(number, form, problem)
        end

        app.post "/jobs/:number/look-over" do
          number = id_of(params["number"])
          begin
            Services::FinishLookOver.call(number, by: person, at: now)
            redirect "/jobs/#{number}#next", 303
          rescue Services::Refused => e
            status 409
            walk = Walk.new(Services::Lookup.visit(number), at: nil, now: now, policies: policies)
            @title = "Look over #{number}"
            @keys = KEYS
            erb :"look_over/page", locals: { walk: walk, problem: e.message }
          end
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [String, nil] what went wrong
        def record(number, form)
          return "Not saved: see the marked field." unless form.ok?

          Services::RecordFinding.call(number, form.position.key, **form.finding, by: person, at: now)
          nil
        rescue Services::Stale, Services::Refused => e
          status Config::Web::ErrorTable.status(e)
          e.message
        end

        # The row alone for a page that is open, with the ribbon and the outcome brought up to date; else the whole page.
        def show_row(number, form, problem)
          status 422 unless form.ok?
          walk = Walk.new(Services::Lookup.visit(number), at: form.position.key, now: now, policies: policies, form: (form if problem))
          @title = "Look over #{number}"
          @keys = KEYS
          return erb(:"look_over/page", locals: { walk: walk, problem: problem }) unless htmx?

          erb :"look_over/_saved", layout: false, locals: { walk: walk, place: form.position, problem: problem }
        end
      end
    end
  end
end
