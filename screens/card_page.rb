# frozen_string_literal: true

module UprightBench
  module Screens
    # The customer's page behind a card's code: no account, only the code.
    module CardPage
      def self.registered(app)
        app.helpers Helpers

        app.get "/c/:code", open: true do
          customer_card(card_of(params["code"]))
        end

        app.post "/c/:code", open: true do
          card = card_of(params["code"])
          begin
            Services::AnswerCard.call(card, kind: params["kind"].to_s, note: answer_note, weeks: params.fetch("weeks", "4"),
                                            by: Services::Actor.customer_by_card(card), at: now,
                                            machine_id: params["machine_id"].to_s.empty? ? nil : id_of(params["machine_id"]), drop_off_on: day_named)
            redirect "/c/#{params['code']}", 303
          rescue Services::Invalid => e
            status 422
            customer_card(card, problem: e.message)
          end
        end

        stopping(app)

        app.get "/c/:code/visit.ics", open: true do
          visit = Models::Visit.booked.first(customer_id: card_of(params["code"]).customer_id) || raise(Services::NotFound, "No day is booked.")
          calendar(visit_calendar([visit], for_shop: false), "visit")
        end
      end

      # In one action, from whatever reads the mail. To look at the address alone stops nothing: many programs look at every link.
      def self.stopping(app)
        app.get "/c/:code/stop", open: true do
          stop_page(card_of(params["code"]))
        end

        # A mail program stops the cards by a POST of its own (RFC 8058), which has no form token: the signed code stands for it.
        app.post "/c/:code/stop", open: true, token: false do
          card = card_of(params["code"])
          stop_writing(card, one_click: params["List-Unsubscribe"] == "One-Click")
          stop_page(card)
        end
      end
      private_class_method :stopping

      # Helpers of this screen's routes and templates.
      module Helpers
        # @raise [Services::NotFound] for a code that is not ours or no longer good: which of them is not told
        def card_of(code)
          card = Models::Card.with_pk(Outbox::Letters.codes.read(code, today: today))
          card || raise(Services::NotFound, not_good)
        rescue Formats::SignedCode::Bad
          raise Services::NotFound, not_good
        end

        # @return [String] of whichever code
        def not_good
          "This code is not good, or no longer.#{shop.call_us}"
        end

        def customer_card(card, problem: nil)
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          words = speak(card.customer.language)
          @title = words.text(:page_title)
          dues = Core::Cards::Named.of(Models::Due.where(id: card.due_ids).eager(machine: :sheet).order(:due_on).all)
          erb :"card_page/page", layout: :"card_page/layout", locals: { card: card, words: words, dues: dues, problem: problem, answers: card.answers_dataset.order(:id).all,
                                                                        visit: Models::Visit.booked.first(customer_id: card.customer_id), offer: card.bonus }
        end

        def stop_writing(card, one_click:)
          by = one_click ? Services::Actor.mail_program(card) : Services::Actor.customer_by_card(card)
          Services::AnswerCard.call(card, kind: "stop_writing", by: by, at: now, how: one_click ? "one_click" : "page")
        end

        def stop_page(card)
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          words = speak(card.customer.language)
          @title = words.text(:stop_writing)
          erb :"card_page/stop", layout: :"card_page/layout", locals: { card: card, words: words, stopped: !card.customer.refresh.stopped_on.nil? }
        end

        # @return [Core::Cards::Words] in which the page is written
        def speak(language)
          @language = card_words.spoken(language)
          card_words.of(language)
        end

        # @return [String] as in "A new exhaust cassette, due in March 2027"
        def due_line(due, words)
          due_on = due.due_on || today
          line = Core::Cards::Letter::Line.new(machine: due.machine.sheet.title, part: due.position_name, action: due.action, due_on: due_on, overdue: due_on < today)
          (due.state == "open" ? line.words(words) : "#{line.task(words)}, #{words.text(:page_over)}").sub(/\A./, &:upcase)
        end

        # @return [Date, nil]
        # @raise [Services::Invalid] when what was sent is no day
        def day_named
          text = params["drop_off_on"].to_s
          return if text.empty?

          Core::Units::Day.parse(text) || raise(Services::Invalid, { drop_off_on: ["Choose one of the days."] })
        end

        def answer_note
          note = Job::Note.of(params["note"], :note).to_s.strip
          note.empty? ? nil : note
        end
      end
    end
  end
end
