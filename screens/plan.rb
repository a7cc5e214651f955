# frozen_string_literal: true

module UprightBench
  module Screens
    # The plan of the bench: whose work it is when, what it means for the promises, and what somebody wants otherwise.
    module Plan
      def self.registered(app)
        app.helpers Helpers
        app.helpers PlanWords

        app.get("/plan") { bench_plan_page }
        app.get("/plan/wall") { wall_page }
        app.get("/plan/ask") { ask_ahead_page(AskForm.new(params)) }
        app.get("/plan/:number/:key") { step_page }
        app.get("/jobs/:number/sooner") { sooner_page }

        app.post "/plan/absences", may: :work do
          tell_absence(AbsenceForm.new(params))
        end

        app.post "/plan/absences/:id/call-off", may: :work do
          Services::TellAbsence.call_off(id_of(params["id"]), by: person, at: now)
          redirect "/plan", 303
        end

        app.post("/plan/:number/:key", may: :work) { move_step(WishForm.new(params)) }

        app.post "/plan/:number/:key/let-go", may: :work do
          Services::MoveStep.new(number_asked, key_asked, nil, at: now).call(by: person)
          redirect step_path(number_asked, key_asked), 303
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # @param shown [Hash] what is shown of a step: chosen, answer, wish and problem
        def bench_plan_page(form: AbsenceForm.blank(AbsenceForm.begun(now, policies)), **shown)
          @title = "Plan"
          @keys = [["Tab", "the next step of the plan"], ["Enter", "what it is, and what can be moved"]]
          status 422 if form.errors.any? || shown[:wish]&.errors&.any?
          erb :"plan/page", locals: { lanes: lanes_shown(shown[:chosen]), kept: Queries::PromisesKept.call(now: now),
                                      days: Services::DaysAhead.new(at: now, policies: policies).call(8),
                                      form: form, chosen: nil, answer: nil, wish: nil, problem: nil, **shown }
        end

        def wall_page
          @title = "Plan on the wall"
          @wall = true
          erb :"plan/wall", locals: { lanes: lanes_shown }
        end

        # What it would take for a job to be ready sooner, as a part of its page.
        def sooner_page
          job = Queries::JobPage.new(Services::Lookup.job_to_show(number_asked), now: now, policies: policies)
          ways = job.step == :settle ? job.sooner : []
          @title = "Ready sooner: job #{number_asked}"
          erb :"plan/_sooner", layout: htmx? ? false : page_layout,
            locals: { ways: ways, names: Queries::Staff.names(ways.filter_map(&:technician)) }
        end

        # What it is, and what would come of what was asked for it.
        def step_page
          form = WishForm.new(params)
          chosen = [number_asked, key_asked.to_sym]
          answer = Services::MoveStep.new(number_asked, key_asked, form.wish, at: now).what_if if form.wish
          bench_plan_page(chosen: chosen, answer: answer, wish: form)
        rescue Services::Refused => e
          bench_plan_page(chosen: chosen, wish: form, problem: e.message)
        end

        # Nothing is asked before somebody says when it comes.
        def ask_ahead_page(form)
          @title = "When could it be ready?"
          answer = ask_ahead(form) if form.asked? && form.ok?
          status 422 if form.asked? && form.errors.any?
          show_ask(form, answer)
        rescue Services::Refused => e
          show_ask(form, nil, e.message)
        end

        def show_ask(form, answer, problem = nil)
          subject = subject_of(form)
          form.errors.clear unless form.asked?
          erb :"plan/ask", locals: { form: form, subject: subject, answer: answer, problem: problem }
        end

        # @return [Queries::AskedMachine]
        def subject_of(form)
          Queries::AskedMachine.new(*form.ids, today: today)
        end

        def ask_ahead(form)
          subject = subject_of(form)
          ask = Services::AskAhead.new(at: now, policies: policies)
          work = subject.known(form.work)
          return ask.roughly(form.rough, brought_at: form.brought_at(now)) if work.empty?

          ask.of_model(subject.sheet, work, machine: subject.machine, brought_at: form.brought_at(now))
        end

        def move_step(form)
          number = number_asked
          key = key_asked
          return bench_plan_page(chosen: [number, key.to_sym], wish: form) unless form.wish

          Services::MoveStep.new(number, key, form.wish, at: now).call(by: person)
          redirect step_path(number, key), 303
        rescue Services::Refused => e
          status Web::ErrorTable.status(e)
          bench_plan_page(chosen: [number, key.to_sym], wish: form, problem: e.message)
        end

        def tell_absence(form)
          return bench_plan_page(form: form) unless form.ok?

          Services::TellAbsence.call(Services::Lookup.one(:person, form.values[:away_id]), **form.fields, by: person,
            at: now)
          say "The plan is made anew without them."
          redirect "/plan", 303
        rescue Services::Invalid => e
          bench_plan_page(form: form.add(e.errors))
        end

        def blank_wish
          WishForm.blank
        end

        def number_asked
          id_of(params["number"])
        end

        # @raise [Services::NotFound]
        def key_asked
          key = params["key"].to_s
          return key if Services::ChainOfJob::KEYS.map(&:to_s).include?(key)

          raise Services::NotFound, "There is no such step."
        end

        def step_path(number, key)
          "/plan/#{number}/#{key}"
        end

        # @return [Screens::Plan::Board]
        def lanes_shown(chosen = nil)
          Board.new(Queries::PlanOfBench.new(now: now), now: now, policies: policies, chosen: chosen)
        end
      end
    end
  end
end
