# frozen_string_literal: true

module UprightBench
  module Screens
    # Who works here, for the owner; and everybody's own account.
    module People
      # what is done to an account, as the address says it => by which of Services::Staff
      DONE = { "close" => :close, "let-in" => :let_in, "password" => :give_password, "factor" => :take_off_factor }
        .freeze

      def self.registered(app)
        app.helpers Helpers

        app.get "/people", may: :people do
          people_page(blank_person)
        end

        app.post "/people", may: :people do
          add_person(PersonForm.new(params))
        end

        roles_routes(app)
        one_routes(app)
        own_routes(app)
      end

      def self.roles_routes(app)
        app.get "/people/roles", may: :people do
          @title = "What each role may do"
          erb :"people/roles", locals: { roles: Services::SetRole.now }
        end

        app.post("/people/safety", may: :people) { keep_safety }

        app.post "/people/roles", may: :people do
          Services::SetRole.call(roles_ticked, by: person, at: now)
          say "Saved. It holds from the next page on."
          redirect "/people/roles", 303
        end
      end

      # What is done to one account; those that end in a new password show it once.
      def self.one_routes(app)
        app.get "/people/:id/bench", may: :people do
          bench_page_of(person_asked, BenchForm.blank(BenchForm.typed_from(person_asked, policies.open_hours)))
        end

        app.post("/people/:id/bench", may: :people) { put_at_bench(person_asked, BenchForm.new(params)) }

        app.post "/people/:id", may: :people do
          change_person(person_asked, PersonForm.new(params))
        end

        app.post "/people/:id/:what", may: :people do
          what = DONE.fetch(params["what"]) { pass }
          given = Services::Staff.public_send(what, person_asked, by: person, at: now)
          given.is_a?(String) ? given_page(person_asked, given) : redirect("/people", 303)
        end
      end

      def self.own_routes(app)
        app.get("/me", own: true) { own_page }

        app.post("/me/password", own: true) { change_own_password }
        app.post("/me/pin", own: true) { change_own_pin }

        app.post "/me/sessions/:id/end", own: true do
          Services::Staff.end_session(person, id_of(params["id"]), at: now)
          redirect "/me", 303
        end

        app.get("/take-over", own: true) { take_over_page }
        app.post("/take-over", own: true) { take_over }
      end
      private_class_method :roles_routes, :one_routes, :own_routes

      # Helpers of this screen's routes.
      module Helpers
        def person_asked
          Services::Lookup.one(:person, id_of(params["id"]))
        end

        def people_page(form, changed: nil)
          @title = "People"
          status 422 if form.errors.any?
          erb :"people/page", locals: { form: form, changed: changed, people: Queries::Staff.all }
        end

        def keep_safety
          Services::SecondFactor.require(Array(params["factor"]).grep(String), by: person, at: now)
          Services::Pins.allow(params["pins"] == "1", by: person, at: now)
          say "Saved."
          redirect "/people/roles", 303
        end

        # A role of which nothing is ticked may nothing of it; what is not on the list is left aside.
        # @return [Hash{String=>Array<Symbol>}]
        def roles_ticked
          ticked = params["may"].is_a?(Hash) ? params["may"] : {}
          keys = Core::Access::Permissions.changeable.to_h { |row| [row.key.to_s, row.key] }
          Core::Access::Permissions::SAID.to_h { |role| [role, keys.values_at(*Array(ticked[role])).compact] }
        end

        def blank_person
          PersonForm.blank("role" => "technician")
        end

        # @return [String] a field whose text is never sent back
        def password_field(errors, name, label, autocomplete)
          %(<div class="field"><label for="#{name}">#{label}</label><input class="form-control" type="password" ) +
            %(id="#{name}" name="#{name}" autocomplete="#{autocomplete}"#{invalid_at(errors, name)}>) +
            %(#{error_at(errors, name, label)}</div>)
        end

        # @return [Screens::People::PersonForm] of one in the list; as it was typed, when it was sent and is wrong
        def form_of(one, form, changed)
          one.id == changed ? form : PersonForm.blank(PersonForm.typed_from(one))
        end

        def bench_page_of(one, form)
          @title = "#{one.name} at the bench"
          status 422 if form.errors.any?
          erb :"people/bench", locals: { one: one, form: form }
        end

        def put_at_bench(one, form)
          return bench_page_of(one, form) unless form.ok?

          Services::Staff.put_at_bench(one, form.fields, by: person, at: now)
          say "Saved. The plan is made anew."
          redirect "/people", 303
        rescue Services::Invalid => e
          bench_page_of(one, form.add(e.errors))
        end

        # @return [String] as in "own hours, opens motor heads"
        def at_bench_words(one)
          return "nothing is planned for them." unless one.at_bench

          skills = Core::Bench::Skills::WORDS.values_at(*one.skills.map(&:to_sym))
          "#{[one.bench_hours ? 'own hours' : 'whenever the shop is open', *skills].join(', ')}."
        end

        def add_person(form)
          return people_page(form) unless form.ok?

          added, given = Services::Staff.add(form.fields, by: person, at: now)
          given_page(added, given)
        rescue Services::Invalid => e
          people_page(form.add(e.errors))
        end

        def change_person(one, form)
          Services::Staff.change(one, form.fields, by: person, at: now) if form.ok?
          return redirect("/people", 303) if form.ok?

          people_page(form, changed: one.id)
        rescue Services::Invalid => e
          people_page(form.add(e.errors), changed: one.id)
        end

        # Kept nowhere: the page is not stored by the browser either.
        def given_page(one, password)
          headers "cache-control" => "no-store"
          @title = "A password for #{one.name}"
          erb :"people/given", locals: { one: one, password: password }
        end

        def own_page(errors = {})
          @title = "Your account"
          status 422 if errors.any?
          erb :"people/me", locals: {
            errors: errors, sessions: Queries::Staff.sessions(person, env.fetch("upright_bench.session").call),
            pins: shop.pins, phone: Queries::Staff.phone?(person), passkeys: env.fetch("upright_bench.passkeys").call
          }
        end

        def change_own_pin
          wait = Services::Pins.set(person, pin: params["pin"].to_s, password: params["pin_password"].to_s, at: now,
            address: request.ip)
          return own_page({ pin_password: ["was wrong too often. Wait #{Web::SignIn::Tries.words(wait)}."] }) if wait

          say person.pin_hash ? "Your PIN is changed." : "You have no PIN any more."
          redirect "/me", 303
        rescue Services::Invalid => e
          own_page(e.errors)
        end

        def take_over_page(problem = nil)
          @title = "Take over"
          status 422 if problem
          erb :"people/take_over", locals: { who: Services::Pins.who, problem: problem }
        end

        def take_over
          found = Services::Pins.take_over(id_typed("person_id"), pin: params["pin"].to_s, at: now, address: request.ip)
          return take_over_page("Wait #{Web::SignIn::Tries.words(found)} and try again.") if found.is_a?(Integer)
          return take_over_page("That PIN is not right.") unless found

          env.fetch("upright_bench.take_over").call(found)
          redirect "/", 303
        end

        def change_own_password
          old, new, again = %w[old new again].map { |name| params[name].is_a?(String) ? params[name] : "" }
          return own_page({ again: ["is not the same"] }) if new != again

          wait = Services::OwnPassword.change(person, old: old, new: new, at: now, address: request.ip)
          return own_page({ old: ["was wrong too often. Wait #{Web::SignIn::Tries.words(wait)}."] }) if wait

          redirect "/login", 303
        rescue Services::Invalid => e
          own_page(e.errors)
        end
      end
    end
  end
end
