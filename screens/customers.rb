# frozen_string_literal: true

module UprightBench
  module Screens
    # Customers: the list, a customer with their machines and cards, and a year of what falls due.
    module Customers
      def self.registered(app)
        app.helpers Helpers

        app.get("/customers") { customers_page(params["q"].to_s.strip) }

        forgetting_routes(app)
        long_away_routes(app)

        app.get("/customers/:id") do
          customer = customer_asked
          typed = CustomerForm.typed_from(customer).merge("phone" => phone_words(customer.phone))
          customer_page(customer, CustomerForm.blank(typed))
        end

        year_ahead_routes(app)
        planning_routes(app)
        file_routes(app)

        app.post "/customers/:id", may: :work do
          customer = customer_asked
          form = CustomerForm.new(params)
          begin
            if form.ok?
              Services::EditCustomer.call(customer, form.fields, version: form.values[:lock_version],
                how: form.values[:how] || "counter", by: person, at: now)
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

        app.post "/customers/:id/hear", may: :work do
          customer = customer_asked
          Services::HearBy.call(customer, params["channel"].to_s, by: person, at: now)
          redirect page_before, 303
        end

        app.post "/customers/:id/try-again", may: :work do
          customer = customer_asked
          Services::TryChannelAgain.call(customer, params["channel"].to_s, by: person, at: now)
          redirect "/customers/#{customer.id}", 303
        end
      end

      def self.long_away_routes(app)
        app.get "/customers/long-away", may: :forgetting do
          @title = "Inactive customers"
          years = policies["kept_years"]
          customers = Services::Forget.long_away(today: today, years: years, after: last_shown)
          erb :"customers/long_away", locals: { customers: customers, years: years }
        end
      end
      private_class_method :long_away_routes

      def self.forgetting_routes(app)
        app.post "/customers/:id/forget", may: :forgetting do
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
      private_class_method :forgetting_routes

      # All that is kept of somebody, for them.
      def self.file_routes(app)
        app.post "/customers/:id/file", may: :customer_file do
          customer = customer_asked
          bytes = Services::CustomerFile.call(customer, by: person, at: now)
          headers "cache-control" => "no-store"
          content_type "application/zip"
          attachment "customer-#{customer.id}.zip"
          bytes
        end
      end
      private_class_method :file_routes

      # What falls due within a year, for those who plan: as paper, and for a calendar.
      def self.year_ahead_routes(app)
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
      private_class_method :year_ahead_routes

      # The same put together to service days.
      def self.planning_routes(app)
        app.get("/customers/:id/plan") { plan_page(customer_asked) }
        app.get("/customers/:id/plan.pdf") { send_paper("plan", customer: customer_asked.id) }
        app.get("/customers/:id/plan.ics") { calendar(plan_calendar(customer_asked), "plan") }
      end
      private_class_method :planning_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [String] iCalendar
        def due_calendar(customer)
          overdue, ahead = Services::YearAhead.call(customer, today: today).partition(&:overdue)
          rows = ahead.map { |row| { id: "due-#{row.id}", date: row.date, summary: due_summary(row) } }
          rows.unshift(overdue_entry(customer, overdue)) if overdue.any?
          day_calendar("#{customer.name}, #{shop.name}", rows)
        end

        # A calendar is for what is ahead: what is overdue is one entry, for today.
        def overdue_entry(customer, rows)
          { id: "overdue-#{customer.id}", date: today,
            summary: "Overdue: #{rows.map { |row| due_summary(row) }.join('; ')}" }
        end

        def due_summary(row)
          "#{row.machine}: #{row.what.join(', ')}"
        end

        # @param rows [Array<Hash>] as Formats::DayCalendar takes them
        def day_calendar(name, rows)
          Formats::DayCalendar.new(name: name, host: URI(SETTINGS.public_url).host, stamp: now, rows: rows).call
        end

        def customer_asked
          Services::Lookup.one(:customer, id_of(params["id"]))
        end

        def plan_calendar(customer)
          rows = plan_rows(customer).map do |row|
            { id: "plan-#{customer.id}-#{row[:machine_id]}-#{row[:date].iso8601}", date: row[:date],
              summary: "#{row[:machine]}: #{row[:what].join(', ')}" }
          end
          day_calendar("#{customer.name}, #{shop.name}", rows)
        end

        def plan_page(customer)
          @title = "A year of #{customer.name}"
          erb :"customers/plan", locals: { customer: customer, plan: year_plan_of(customer) }
        end

        # @return [Array<Hash>] a machine and day each, as Papers::DueList takes them
        def plan_rows(customer)
          year_plan_of(customer).days.flat_map { |service_day| Services::PrintedPlan.machines(service_day) }
        end

        # @return [String] whether there could be fewer days, as far as that is known
        def fewest_words(plan)
          return "The fewest there can be." if plan.fewest?

          "No fewer were found; there must be at least #{plan.least}."
        end

        # @return [Services::PlanYear::Answer]
        def year_plan_of(customer)
          Services::PlanYear.call(customer, today: today, policies: policies)
        end

        def customers_page(query)
          @title = "Customers"
          list = Queries::CustomerList.new(order: params["sort"], fleets: params["fleets"] == "1", after: last_shown)
          erb :"customers/page", locals: { query: query, list: list, hits: Services::FindCustomers.call(query) }
        end

        # @return [String] where a search result leads: to the machine, or to a customer without one
        def hit_path(hit)
          hit.machine_id ? "/machines/#{hit.machine_id}" : "/customers/#{hit.customer_id}"
        end

        # @return [Integer] the id of the customer the page before ended with; 0 for the first page
        def last_shown
          params["after"].to_s[/\A\d{1,15}\z/].to_i
        end

        # @return [String] the list's address, in another order or from another customer on
        def list_path(list, **changes)
          asked = { sort: list.order, fleets: ("1" if list.fleets), **changes }.compact
          "/customers?#{URI.encode_www_form(asked)}"
        end

        # A column's heading, by which the list is sorted; pressed again, the other way round.
        def sort_heading(list, words, up, down)
          now = list.order == up ? "ascending" : ("descending" if list.order == down)
          path = list_path(list, sort: list.order == up ? down : up)
          %(<th scope="col"#{%( aria-sort="#{now}") if now}><a href="#{h(path)}">#{words}</a></th>)
        end

        def customer_page(customer, form)
          @title = customer.name
          erb :"customers/customer", locals: {
            customer: customer, form: form, page: Queries::CustomerOverview.new(customer)
          }
        end

        def mini_ribbon(machine)
          Drawings::MiniRibbon.new(sheet: machine.to_core, marks: due_marks(machine.to_core, machine.dues)).render
        end

        # @return [String] as HTML, as in "Replace exhaust cassette, 5 Apr"
        def next_due_words(machine)
          due = machine.dues.find { |one| !done_at_home?(one) } || machine.dues.first
          return "No clock runs yet" unless due

          "#{h(due.action.capitalize)} #{h(due.position_name.downcase)}, #{due_day(due)} #{overdue_word(due, [])}"
        end

        # @return [Hash{String=>String}] how a customer can agree, of the ways that staff record
        def ways_to_agree
          Services::KeepConsent::HOW.slice(*Services::KeepConsent::BY_HAND)
        end

        def how_agreed(how)
          Services::KeepConsent::HOW.fetch(how)
        end

        # @return [Boolean] whether it is followed: sold and scrapped ones are not
        def followed?(machine)
          %w[in_use stored].include?(machine.state)
        end
      end
    end
  end
end
