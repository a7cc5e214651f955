# frozen_string_literal: true

module UprightBench
  module Screens
    # What came back: answers typed in one line, days that were named, whom to call, and what came of the cards.
    module Answers
      def self.registered(app)
        app.helpers Helpers
        app.get("/cards/answers") { answers_page(AnswerForm.blank) }

        app.post "/cards/answers", may: :work do
          form = AnswerForm.new(params)
          card = heard(form)
          next answers_page(form) unless card

          say "#{card.customer.name}: #{form.words}."
          redirect "/cards/answers", 303
        end

        app.get("/cards/came") { came_page }
        app.get("/cards/came/shares") { shares_page }
        phone_calls_routes(app)
        bookings_routes(app)
      end

      EXAMPLES = "For example: corvell comes tue: after lunch · 0107 later 8 weeks · applegarth done · lunderby stop " \
                 "· brack bounced: box full"
      # What is said on the phone, beside that somebody comes.
      ON_THE_PHONE = { "not_now" => "Not now", "done_elsewhere" => "Already done",
                       "no_longer_have" => "No longer has it",
                       "stop_writing" => "Do not call again", "not_reached" => "Not reached" }.freeze

      def self.phone_calls_routes(app)
        app.get("/cards/calls") { phone_calls_page }
        app.get("/cards/calls.pdf") { send_paper("calls") }

        app.post "/cards/calls/:id", may: :work do
          card = Services::Lookup.one(:card, id_of(params["id"]))
          if params["kind"] == "not_reached"
            Services::HearAnswer.not_reached(card, by: person, at: now)
          else
            Services::HearAnswer.call(card, { kind: params["kind"].to_s }, by: person, at: now)
          end
          redirect "/cards/calls", 303
        end
      end
      private_class_method :phone_calls_routes

      def self.bookings_routes(app)
        app.get "/cards/bookings.ics" do
          calendar(booking_calendar(Queries::Bookings.from(today), for_shop: true), "bookings")
        end

        app.get "/cards/bookings/:id.ics" do
          calendar(booking_calendar([Services::Lookup.one(:booking, id_of(params["id"]))], for_shop: true), "booking")
        end

        app.post "/cards/bookings/:id/off", may: :work do
          Services::MakeBooking.call_off(Services::Lookup.one(:booking, id_of(params["id"])), by: person, at: now)
          redirect "/cards/answers", 303
        end
      end
      private_class_method :bookings_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        def answers_page(form, cards: nil)
          @title = "Answers"
          status 422 if form.errors.any?
          erb :"answers/page", locals: {
            form: form, cards: cards || form.cards(today), bookings: Queries::Bookings.open,
            to_send: Queries::PartsToSend.call,
            answers: Queries::RecentAnswers.call(before: before_asked)
          }
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

        # @return [Integer, nil] older ones than this are asked for
        def before_asked
          id_of(params["before"]) if params["before"].is_a?(String)
        end

        # @param row [Queries::PartsToSend::Row]
        # @return [String] the address on their answer, else the one on file
        def where_to_send(row)
          given = row.asked_for or return postal_rest(row)
          given.to_hash.values.compact.join(", ")
        end

        def phone_calls_page
          @title = "Calls"
          erb :"answers/phone_calls", locals: { calls: Queries::PhoneCalls.call(today: today, shop: shop) }
        end

        def came_page
          @title = "Results"
          page = Queries::JobsBrought.page(before: before_asked)
          erb :"answers/came", locals: { brought: page.rows, older: page.older }
        end

        def shares_page
          @title = "Results"
          returns = Services::CardReturns.new(today: today)
          erb :"answers/_returns", layout: !htmx?, locals: {
            comebacks: Services::Comebacks.share(today: today), attempts: returns.by_attempt,
            leads: returns.by_lead, offers: returns.by_offer
          }
        end

        # @return [String] as in "by e-mail, follow-up 1"
        def attempt_words(channel, attempt)
          "by #{channel_words(channel)}, #{attempt == 1 ? 'first' : "follow-up #{attempt - 1}"}"
        end

        # @param share [Float]
        # @return [String] as in "42 %"
        def percent(share)
          "#{(share * 100).round} %"
        end

        # @param row [Queries::JobsBrought::Row]
        # @return [String] as in "3 days after", "on the day of"
        def days_after(row)
          days = (Config::Zone.date(row.taken_in_at) - row.leaves_on).to_i
          { 0 => "on the day of", 1 => "a day after" }.fetch(days) { "#{days} days after" }
        end

        # @param for_shop [Boolean] as the shop sees it, or as the customer does
        def booking_calendar(bookings, for_shop:)
          rows = bookings.map do |booking|
            said = if for_shop
                     { summary: "#{booking.customer.name} brings a machine" }
                   else
                     { summary: "Bring the vacuum cleaner to #{shop.name}", place: shop.sender }
                   end
            { id: "booking-#{booking.id}", date: booking.drop_off_on, busy: true, **said }
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
