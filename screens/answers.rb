# frozen_string_literal: true

module UprightBench
  module Screens
    # What came back: answers typed in one line, days that were named, whom to call, and what came of the cards.
    module Answers
      PAGE = 40

      def self.registered(app)
        app.helpers Helpers
        app.get("/cards/answers") { answers_page(AnswerForm.blank) }

        app.post "/cards/answers" do
          form = AnswerForm.new(params)
          card = heard(form)
          next answers_page(form) unless card

          say "#{card.customer.name}: #{form.words}."
          redirect "/cards/answers", 303
        end

        app.get("/cards/came") { came_page }
        app.get("/cards/came/shares") { shares_page }
        calls(app)
        visits(app)
      end

      def self.calls(app)
        app.get("/cards/calls") { calls_page }
        app.get("/cards/calls.pdf") { send_paper("calls") }

        app.post "/cards/calls/:id" do
          card = Services::Lookup.one(Models::Card, id_of(params["id"]))
          if params["kind"] == "not_reached"
            Services::HearAnswer.not_reached(card, by: person, at: now)
          else
            Services::HearAnswer.call(card, { kind: params["kind"].to_s }, by: person, at: now)
          end
          redirect "/cards/calls", 303
        end
      end
      private_class_method :calls

      def self.visits(app)
        app.get "/cards/visits.ics" do
          calendar(visit_calendar(Models::Visit.booked.where(Sequel[:drop_off_on] >= today).eager(:customer).order(:drop_off_on).all, for_shop: true), "visits")
        end

        app.get "/cards/visits/:id.ics" do
          calendar(visit_calendar([Services::Lookup.one(Models::Visit, id_of(params["id"]))], for_shop: true), "visit")
        end

        app.post "/cards/visits/:id/off" do
          Services::BookVisit.call_off(Services::Lookup.one(Models::Visit, id_of(params["id"])), by: person, at: now)
          redirect "/cards/answers", 303
        end
      end
      private_class_method :visits

      # Helpers of this screen's routes and templates.
      module Helpers
        def answers_page(form, cards: nil)
          @title = "Answers"
          status 422 if form.errors.any?
          erb :"answers/page", locals: { form: form, cards: cards || form.cards(today), answers: recent_answers, visits: Models::Visit.booked.eager(:customer).order(:drop_off_on, :id).limit(PAGE).all }
        end

        # @return [Models::Card, nil] nil when the form says what is missing
        def heard(form)
          card = form.card(today) if form.ok?
          Services::HearAnswer.call(card, form.said(today), by: person, at: now) if card
          card
        rescue Services::Invalid => e
          form.add(line: e.errors.values.flatten)
          nil
        rescue Services::Refused => e
          form.add(line: [e.message])
          nil
        end

        # By key: the older ones begin before the last of this page.
        def recent_answers
          found = Models::Answer.join(:cards, id: :card_id).join(:customers, id: Sequel[:cards][:customer_id]).order(Sequel.desc(Sequel[:answers][:id])).limit(PAGE).naked
          found = found.where(Sequel[:answers][:id] < id_of(params["before"])) if params["before"].is_a?(String)
          found.select(Sequel[:answers][:id], Sequel[:answers][:kind], Sequel[:answers][:note], Sequel[:answers][:answered_at], Sequel[:answers][:card_id],
                       Sequel[:customers][:name]).all
        end

        def calls_page
          @title = "Whom to call"
          erb :"answers/calls", locals: { calls: calls_to_make }
        end

        # @return [Array<Array(Models::Card, Core::Cards::Letter)>] the longest waiting first
        def calls_to_make
          cards = calls_waiting.eager(:customer).order(:calls, :id).limit(PAGE).all
          letters = Outbox::Letters.new(cards, shop: shop)
          cards.map { |card| [card, letters.of(card)] }
        end

        # @return [Sequel::Dataset] of cards
        def calls_waiting
          Services::HearAnswer.waiting_for_a_call(today: today)
        end

        def came_page
          @title = "What came of the cards"
          erb :"answers/came", locals: { brought: Services::Brought.list(before: params["before"].is_a?(String) ? id_of(params["before"]) : nil) }
        end

        def shares_page
          @title = "What came of the cards"
          returns = Services::CardReturns.new(today: today)
          erb :"answers/_returns", layout: !htmx?, locals: { attempts: returns.by_attempt, leads: returns.by_lead, offers: returns.by_offer }
        end

        # @param row [Hash] of Services::Brought
        # @return [String] as in "3 days after", "on the day of"
        def days_after(row)
          days = (Config::Zone.date(row[:taken_in_at]) - row[:leaves_on]).to_i
          { 0 => "on the day of", 1 => "a day after" }.fetch(days) { "#{days} days after" }
        end

        # @param for_shop [Boolean] as the shop sees it, or as the customer does
        def visit_calendar(visits, for_shop:)
          rows = visits.map do |visit|
            said = for_shop ? { summary: "#{visit.customer.name} brings a machine" } : { summary: "Bring the vacuum cleaner to #{shop.name}", place: shop.sender }
            { id: "visit-#{visit.id}", date: visit.drop_off_on, busy: true, **said }
          end
          day_calendar(shop.name, rows)
        end

        def calendar(text, name)
          content_type "text/calendar", charset: "utf-8"
          headers "content-disposition" => %(attachment; filename="#{name}.ics")
          text
        end
      end
    end
  end
end
