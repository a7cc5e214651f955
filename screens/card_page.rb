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
            Services::AnswerCard.call(card, kind: params["kind"].to_s, note: answer_note,
              weeks: params.fetch("weeks", "4"), address: address_given,
              by: Services::Actor.customer_by_card(card), at: now,
              machine_id: params["machine_id"].to_s.empty? ? nil : id_of(params["machine_id"]), drop_off_on: day_named)
            redirect "/c/#{params['code']}", 303
          rescue Services::Invalid => e
            status 422
            customer_card(card, problem: e.message)
          end
        end

        stopping_routes(app)

        app.get "/c/:code/booking.ics", open: true do
          booking = Queries::Bookings.of_customer(card_of(params["code"]).customer_id) ||
                    raise(Services::NotFound, "No day is booked.")
          calendar(booking_calendar([booking], for_shop: false), "booking")
        end
      end

      # In one action, from whatever reads the mail. To look at the address alone stops nothing: many programs look at
      # every link.
      def self.stopping_routes(app)
        app.get "/c/:code/stop", open: true do
          stop_page(card_of(params["code"]))
        end

        # A mail program stops the cards by a POST of its own (RFC 8058), which has no form token: the signed code
        # stands for it.
        app.post "/c/:code/stop", open: true, token: false do
          card = card_of(params["code"])
          stop_writing(card, one_click: params["List-Unsubscribe"] == "One-Click")
          stop_page(card)
        end
      end
      private_class_method :stopping_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        # @raise [Services::NotFound] for a code that is not ours or no longer good: which of them is not told
        def card_of(code)
          Services::Lookup.one(:card, Outbox::Letters.codes.read(code, today: today))
        rescue Formats::SignedCode::NotOurs
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
          machines = Queries::CardDues.call(card).group_by(&:machine)
          erb :"card_page/page", layout: :"card_page/layout",
            locals: { card: card, words: words, machines: machines, problem: problem,
                      answers: standing(card.answers),
                      booking: Queries::Bookings.of_customer(card.customer_id), offer: offer_words(card, words) }
        end

        # @param answers [Array<Models::Answer>] in the order in which they came
        def standing(answers)
          one_of = answers.select { |answer| Services::AnswerCard::ONE_OF.include?(answer.kind) }
          answers - (one_of - one_of.last(1))
        end

        # @return [String, nil] what the card offers, or what became of that
        def offer_words(card, words)
          offer = card.offer or return
          earned = card.earning&.earned_at
          return words.phrase(:page_offer_used, day: words.full_date(zone_date(earned))) if earned
          return words.phrase(:page_offer_lapsed, day: words.full_date(offer.ends_on)) if offer.ends_on < today

          words.offer(minutes: offer.minutes, until_on: offer.ends_on)
        end

        def stop_writing(card, one_click:)
          by = one_click ? Services::Actor.mail_program(card) : Services::Actor.customer_by_card(card)
          Services::AnswerCard.call(card, kind: "stop_writing", by: by, at: now, how: one_click ? "one_click" : "page")
        end

        def stop_page(card)
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          words = speak(card.customer.language)
          @title = words.text(:stop_writing)
          stopped = !card.customer.refresh.stopped_on.nil?
          erb :"card_page/stop", layout: :"card_page/layout", locals: { card: card, words: words, stopped: stopped }
        end

        # @return [Core::Cards::Words] in which the page is written
        def speak(language)
          @language = card_words.spoken(language)
          card_words.of(language)
        end

        # @return [String] the machine's ribbon, with what is due in words
        def card_ribbon(machine, dues, words)
          core = machine.to_core
          marks = core.positions.to_h { |place| [place.key, :leave] }
            .merge(dues.to_h { |due| [due.position, due_mark(due.action)] })
          said = dues.to_h { |due| [due.position, card_line(due).task(words).sub(/\A./, &:upcase)] }
          Drawings::CustomerRibbon.new(sheet: core, marks: marks, words: said).render
        end

        def card_line(due)
          due_on = due.due_on || today
          Core::Cards::Letter::Line.new(machine: due.machine.sheet.title, part: due.position_name,
            action: Core::Clocks::Due.told(due.action, due.deciding), due_on: due_on, overdue: due_on < today)
        end

        # @return [String] as in "A new exhaust cassette, due in March 2027"
        def due_line(due, words)
          line = card_line(due)
          (due.state == "open" ? line.words(words) : "#{line.task(words)}, #{words.text(:page_over)}")
            .sub(/\A./, &:upcase)
        end

        # @return [Date, nil]
        # @raise [Services::Invalid] when what was sent is no day
        def day_named
          text = params["drop_off_on"].to_s
          return if text.empty?

          Core::Units::Day.parse(text) || raise(Services::Invalid, { drop_off_on: ["Choose one of the days."] })
        end

        # @return [Hash{Symbol=>String}, nil] nil where nothing was typed
        # @raise [Services::Invalid] when one is too long, or no text
        def address_given
          typed = AddressFields::LENGTHS.to_h do |name, most|
            text = Job::Note.of(params[name.to_s], name).to_s.strip
            raise Services::Invalid, { name => ["has at most #{most} letters"] } if text.length > most

            [name, (text unless text.empty?)]
          end
          typed if typed.values.any?
        end

        def answer_note
          note = Job::Note.of(params["note"], :note).to_s.strip
          note.empty? ? nil : note
        end
      end
    end
  end
end
