# frozen_string_literal: true

module UprightBench
  module Screens
    # What falls due in the coming months, the batch about to leave, the answers that came.
    module Cards
      HORIZON_DAYS = 26 * 7

      def self.registered(app)
        app.helpers Helpers

        app.get("/cards") { cards_page }

        app.post "/cards/send" do
          chosen = Array(params["customer_ids"]).map { |text| id_of(text) }
          sent = Services::SendCards.call(by: person, at: now, customer_ids: chosen)
          say(if sent.empty?
                "No card was written: these had left already, or nothing was chosen."
              else
                "#{sent.size} #{sent.size == 1 ? 'card is' : 'cards are'} on the way."
              end)
          redirect "/cards", 303
        end

        app.get "/cards/of/:customer" do
          book = Services::DueBook.new(today: today, policy: policies.cards, customer_id: id_of(params["customer"]))
          bundle = book.bundles.first || raise(Services::NotFound, "Nothing is due for this customer.")
          letter = Outbox::CardLetter.preview(bundle.lines.map { |task| book.by_id.fetch(task.id) }, bundle.attempt, today)
          next erb(:"cards/_letter", layout: !htmx?, locals: { letter: letter, bundle: bundle }) unless params["pdf"]

          pdf Papers::PostCard.new(letter: letter, address: letter.customer, sender: shop.name).render, "card"
        end

        app.get("/cards/:id") { card_page(Services::Lookup.one(Models::Card, id_of(params["id"]))) }

        app.post "/cards/:id/unsure" do
          card = Services::Lookup.one(Models::Card, id_of(params["id"]))
          Services::SettleMessage.call(card.message, arrived: params["arrived"] == "yes", by: person, at: now)
          redirect "/cards/#{card.id}", 303
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def cards_page
          @title = "Cards"
          book = Services::DueBook.new(today: today, policy: policies.cards)
          bundles = book.bundles
          erb :"cards/page", locals: { book: book, leaving: bundles.select(&:leaves_today?), blocked: bundles.select(&:obstacle), weeks: weeks,
                                       answers: recent_answers, messages: open_messages, later: bundles.count { |one| one.obstacle.nil? && !one.leaves_today? },
                                       returns: Services::CardReturns.by_attempt(today: today) }
        end

        def card_page(card)
          @title = "Card for #{card.customer.name}"
          erb :"cards/card", locals: { card: card, letter: Outbox::CardLetter.of(card) }
        end

        def weeks
          counts = Services::DueBook.weeks(today: today, days: HORIZON_DAYS)
          (-1...(HORIZON_DAYS / 7)).map do |week|
            start = today + (week * 7)
            label = week == -1 ? "overdue" : (start.strftime("%b") if week.positive? && start.month != (start - 7).month)
            { label: label, count: counts.fetch(week, 0), overdue: week == -1 }
          end
        end

        def recent_answers
          Models::Answer.join(:cards, id: :card_id).join(:customers, id: Sequel[:cards][:customer_id]).order(Sequel.desc(Sequel[:answers][:id])).limit(12).naked
                        .select(Sequel[:answers][:kind], Sequel[:answers][:note], Sequel[:answers][:answered_at], Sequel[:answers][:card_id], Sequel[:customers][:name]).all
        end

        def open_messages
          Models::Message.exclude(state: "handed_over").join(:cards, id: :card_id).join(:customers, id: Sequel[:cards][:customer_id]).naked
                         .order(Sequel[:messages][:id]).limit(50)
                         .select(Sequel[:messages][:state], :last_error, Sequel[:messages][:card_id], Sequel[:messages][:channel], Sequel[:customers][:name]).all
        end

        def answer_words(kind)
          Services::AnswerCard::KINDS.fetch(kind)
        end

        def message_words(state)
          { "queued" => "waiting for the worker", "handing_over" => "being handed over", "failed" => "failed, will be tried again",
            "unsure" => "may have arrived; a person must decide", "handed_over" => "handed over" }.fetch(state)
        end
      end
    end
  end
end
