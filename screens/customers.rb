# frozen_string_literal: true

module UprightBench
  module Screens
    # Customers and their machines, every machine a ribbon with its due marks.
    module Customers
      PAGE = 40

      def self.registered(app)
        app.helpers Helpers

        app.get "/customers" do
          @title = "Customers"
          query = params["q"].to_s.strip
          erb :"customers/page", locals: { query: query, customers: query.empty? ? customers_after(id_of(params["after"] || "0")) : [], hits: Services::FindCustomers.call(query) }
        end

        forgetting(app)

        app.get("/customers/:id") do
          customer = customer_asked
          customer_page(customer, CustomerForm.blank(CustomerForm.typed_from(customer)))
        end

        year_ahead(app)
        planning(app)

        app.post "/customers/:id" do
          customer = customer_asked
          form = CustomerForm.new(params)
          begin
            if form.ok?
              Services::EditCustomer.call(customer, form.fields, version: form.values[:lock_version], how: form.values[:how] || "counter", by: person, at: now)
              say "Saved."
              next redirect("/customers/#{customer.id}", 303)
            end
            status 422
          rescue Services::Stale => e
            status 409
            form.add(base: [e.message])
            form.typed["lock_version"] = customer.refresh.lock_version.to_s
          end
          customer_page(customer, form)
        end

        app.post "/customers/:id/try-again" do
          customer = customer_asked
          customer.channel_faults_dataset.where(channel: params["channel"].to_s).delete
          Services::History.note("tries a channel again", customer, by: person, at: now, data: { channel: params["channel"].to_s[0, 20] })
          redirect "/customers/#{customer.id}", 303
        end

        app.get "/machines/:id/what-if" do
          machine = Services::Lookup.one(Models::Machine, id_of(params["id"]))
          @title = "What if, #{machine.sheet.title}"
          form = WhatIfForm.new(params)
          status 422 unless form.ok?
          what_if(machine, form)
        end

        app.get "/machines/:id" do
          machine = Services::Lookup.one(Models::Machine, id_of(params["id"]))
          @title = machine.sheet.title
          erb :"customers/machine", locals: { machine: machine, dues: machine_dues(machine), use: machine.use_rate(today),
                                              spares: Models::Spare.waiting.where(machine_id: machine.id).eager(:part).order(:position).all,
                                              jobs: machine.jobs_dataset.limit(30).all, fittings: machine.fittings_dataset.eager(:part).order(:position, :id).all }
        end
      end

      # Those who have not been here for long, and those who ask for it.
      def self.forgetting(app)
        app.get "/customers/long-away" do
          allow!(:forgetting)
          @title = "Not here for long"
          erb :"customers/long_away", locals: { customers: Services::Forget.long_away(today: today, years: policies.number("kept_years"), after: id_of(params["after"] || "0")), years: policies.number("kept_years") }
        end

        app.post "/customers/:id/forget" do
          allow!(:forgetting)
          customer = customer_asked
          if params["sure"] == "1"
            Services::Forget.call(customer, by: person, at: now)
            say "Forgotten. The machines and what was done with them stay, of nobody."
          else
            say "Nothing was forgotten: tick that you are sure."
          end
          redirect(params["list"] ? "/customers/long-away" : "/customers/#{customer.id}", 303)
        end
      end
      private_class_method :forgetting

      # What falls due within a year, for those who plan: as paper, and for a calendar.
      def self.year_ahead(app)
        app.get "/customers/:id/dues.pdf" do
          send_paper("dues", customer: customer_asked.id)
        end

        app.get "/customers/:id/dues.ics" do
          customer = customer_asked
          content_type "text/calendar", charset: "utf-8"
          headers "content-disposition" => %(attachment; filename="due-#{customer.id}.ics")
          due_calendar(customer)
        end
      end
      private_class_method :year_ahead

      # The same put together to visits.
      def self.planning(app)
        app.get("/customers/:id/plan") { plan_page(customer_asked) }
        app.get("/customers/:id/plan.pdf") { send_paper("plan", customer: customer_asked.id) }
        app.get("/customers/:id/plan.ics") { calendar(plan_calendar(customer_asked), "plan") }
      end
      private_class_method :planning

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [String] iCalendar
        def due_calendar(customer)
          rows = Services::YearAhead.call(customer, today: today).map { |row| { id: "due-#{row.id}", date: row.date, summary: "#{row.machine}: #{row.what.join(', ')}" } }
          day_calendar("#{customer.name}, #{shop.name}", rows)
        end

        # @param rows [Array<Hash>] as Formats::DayCalendar takes them
        def day_calendar(name, rows)
          Formats::DayCalendar.new(name: name, host: URI(SETTINGS.public_url).host, stamp: now, rows: rows).call
        end

        def customer_asked
          Services::Lookup.one(Models::Customer, id_of(params["id"]))
        end

        def plan_calendar(customer)
          rows = plan_rows(customer).map do |row|
            { id: "plan-#{customer.id}-#{row[:machine_id]}-#{row[:date].iso8601}", date: row[:date], summary: "#{row[:machine]}: #{row[:what].join(', ')}" }
          end
          day_calendar("#{customer.name}, #{shop.name}", rows)
        end

        def plan_page(customer)
          @title = "A year of #{customer.name}"
          erb :"customers/plan", locals: { customer: customer, visits: visits_of(customer) }
        end

        # @return [Array<Hash>] a machine and day each, as Papers::DueList takes them
        def plan_rows(customer)
          visits_of(customer).flat_map { |visit| Services::PrintedPlan.machines(visit) }
        end

        def visits_of(customer)
          Services::PlanYear.call(customer, today: today, policies: policies)
        end

        def life_drawing(machine)
          life = Services::LifeOf.new(machine)
          Drawings::Years.new(lanes: life.places.map { |place| Drawings::Years::Lane.new(**place.to_h) }, visits: life.visits, today: today).render
        end

        # Every date as it would be with another use; nothing is kept.
        def what_if(machine, form)
          answer = Services::WhatIf.call(machine, **form.use, on: today) if form.ok?
          now_due = machine_dues(machine).to_h { |due| [[due.position, due.task], due.due_on] }
          erb :"customers/what_if", layout: !htmx?, locals: { machine: machine, form: form, answer: answer, now_due: now_due }
        end

        # By key, never by offset: the next page begins after the last name of this one.
        # @param id [Integer] of the last one seen; several may bear a name
        def customers_after(id)
          found = Models::Customer.where(forgotten_on: nil).order(:name, :id).limit(PAGE)
          last = Models::Customer.where(id: id).select(:name, :id)
          found = found.where(Sequel.lit("(name, id) > ?", last)) unless last.empty?
          found.select_append(Models::Machine.where(customer_id: Sequel[:customers][:id]).select(Sequel.function(:count).*).as(:machine_count)).all
        end

        def customer_page(customer, form)
          @title = customer.name
          machines = customer.machines_dataset.eager(:sheet, dues: ->(dues) { dues.where(state: "open").order(Sequel.asc(:due_on, nulls: :last)) }).order(:id).all
          erb :"customers/customer", locals: { customer: customer, form: form, machines: machines, cards: customer.cards_dataset.eager(:message, :answers).limit(12).all,
                                               consents: customer.consents_dataset.eager(:writer).limit(20).all, visit: Models::Visit.booked.first(customer_id: customer.id),
                                               languages: Models::Wording.words.keys | [customer.language] }
        end

        def machine_dues(machine)
          Models::Due.running.where(machine_id: machine.id).eager(:changes).order(Sequel.asc(:due_on, nulls: :last), :id).all
        end

        # What a machine's ribbon says: the action that is due within a month, else leave.
        # @param core [Core::Sheets::Sheet]
        # @param dues [Array<Models::Due>] soonest first
        def due_marks(core, dues)
          soon = dues.select { |due| due.due_on && due.due_on <= today + 30 }
          core.positions.to_h { |place| [place.key, :leave] }.merge(soon.reverse.to_h { |due| [due.position, due_mark(due.action)] })
        end

        def due_notes(dues)
          dues.reverse_each.to_h { |due| [due.position, due.due_on ? "#{due.action} due #{day(due.due_on)}" : "nothing falls due"] }
        end

        def due_mark(action)
          { "wash" => :wash, "clean" => :clean, "replace" => :replace, "inspect" => :unseen }.fetch(action)
        end
      end
    end
  end
end
