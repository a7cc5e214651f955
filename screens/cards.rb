# frozen_string_literal: true

module UprightBench
  module Screens
    # What falls due in the coming year, who hears of it until a day and who does not, and each card.
    module Cards
      HORIZON_DAYS = 52 * 7
      SHOWN = 200 # of a list; the others are counted

      def self.registered(app)
        app.helpers Helpers
        horizon(app)
        one_card(app)
      end

      def self.horizon(app)
        app.get("/cards") { cards_page }
        app.get("/cards/leaving") { leaving_page }

        app.post "/cards/send" do
          left = id_list(params["shown"]) - id_list(params["customer_ids"])
          batch = Services::SendCards.call(by: person, at: now, until_on: leaves_until, at_once: params["at_once"] == "1", without: left)
          redirect "/cards/batches/#{batch.id}", 303
        rescue Services::Invalid => e
          status 422
          cards_page(problem: e.errors.values.flatten.join(" "))
        end
      end
      private_class_method :horizon

      def self.one_card(app)
        app.get "/cards/of/:customer" do
          preview = card_preview(Services::Lookup.one(Models::Customer, id_of(params["customer"])))
          next pdf(post_card(preview[:letter], preview[:customer].recipient("post")), "card") if params["pdf"]

          @title = "Card for #{preview[:customer].name}"
          erb :"cards/_letter", layout: !htmx?, locals: preview
        end

        written_card(app)
      end

      def self.written_card(app)
        app.get("/cards/:id") { card_page(card_asked) }

        app.get "/cards/:id/card.pdf" do
          card = card_asked
          pdf post_card(Outbox::Letters.of(card), card.customer.recipient("post")), "card-#{card.id}"
        end

        doubts(app)
      end

      # What somebody here knows of a card that the channel does not.
      def self.doubts(app)
        app.post "/cards/:id/unsure" do
          Services::SettleMessage.call(card_asked.message, arrived: params["arrived"] == "yes", by: person, at: now)
          redirect "/cards/#{id_of(params['id'])}", 303
        end

        app.post "/cards/:id/bounced" do
          Services::SettleMessage.bounced(card_asked.message, reason: Job::Note.of(params["reason"], :reason).to_s, by: person, at: now)
          say "Noted: this address takes nothing. What the card named may go by another channel."
          redirect "/cards/#{id_of(params['id'])}", 303
        end
      end
      private_class_method :one_card, :written_card, :doubts

      # Helpers of this screen's routes and templates.
      module Helpers
        def card_asked
          Services::Lookup.one(Models::Card, id_of(params["id"]))
        end

        def cards_page(problem: nil)
          @title = "Cards"
          erb :"cards/page", locals: { weeks: horizon_weeks, until_on: leaves_until, problem: problem,
                                       batches: Models::Batch.order(Sequel.desc(:id)).limit(6).all, for_a_person: messages_for_a_person, returns: Outbox::Returns.new }
        end

        def leaving_page
          @title = "Cards that leave until #{day(leaves_until)}"
          book = Services::DueBook.new(today: today, policies: policies, until_on: leaves_until)
          leaving = book.leaving
          locals = { book: book, leaving: leaving, left_out: book.left_out.sort_by { |row, _| row.customer_name }, until_on: leaves_until, often_enough: book.often_enough }
          erb :"cards/_leaving", layout: !htmx?, locals: locals
        end

        # @return [Date] what was asked for, never before today or beyond the horizon; today when nothing was
        def leaves_until
          (Core::Units::Day.parse(params["until"].to_s) || today).clamp(today, today + HORIZON_DAYS)
        end

        # @param list [Object] as it was sent
        # @return [Array<Integer>]
        def id_list(list)
          Array(list).grep(String).map { |text| id_of(text) }
        end

        def card_preview(customer)
          book = Services::DueBook.new(today: today, policies: policies, customer_ids: [customer.id])
          bundle = book.bundles.first || raise(Services::NotFound, "Nothing is due for this customer.")
          raise Services::NotFound, "No card leaves for this customer: they agreed to no way that we have an address for." unless bundle.channel

          rows = bundle.lines.map { |task| book.by_id.fetch(task.id) }
          letter = Outbox::Letters.new([]).preview(customer, rows, attempt: bundle.attempt, bonus: Services::Bonuses.new(today: today).for(customer, bundle), today: today)
          { letter: letter, bundle: bundle, customer: customer }
        end

        def post_card(letter, address)
          Papers::PostCard.new(letter: letter, address: address, sender: shop.sender, style: card_style).render
        end

        def card_style
          Papers::PostCard::Style.of("card_size" => policies.choice("card_size"), "card_layout" => policies.choice("card_layout"))
        end

        def card_page(card)
          @title = "Card for #{card.customer.name}"
          erb :"cards/card", locals: { card: card, letter: Outbox::Letters.of(card), visit: Models::Visit.booked.first(card_id: card.id),
                                       brought: Services::Brought.list(card: card) }
        end

        def horizon_weeks
          counts = Services::DueBook.weeks(today: today, days: HORIZON_DAYS, policy: policies.cards)
          (-1...(HORIZON_DAYS / 7)).map { |week| horizon_week(week, counts.fetch(week, 0)) }
        end

        def horizon_week(week, count)
          start = today + (week * 7)
          last = week == -1 ? today : start + 6
          label = week == -1 ? "overdue" : (start.strftime("%b") if week.positive? && start.month != (start - 7).month)
          words = week == -1 ? "#{count} overdue: the cards that leave today" : "#{count} due in the week of #{day(start)}: the cards that leave until its end"
          { label: label, count: count, overdue: week == -1, href: "/cards?until=#{last.iso8601}", words: words,
            chosen: week == (leaves_until == today ? -1 : (leaves_until - today).to_i / 7) }
        end

        # What only somebody here can decide.
        def messages_for_a_person
          Models::Message.for_a_person.join(:cards, id: :card_id).join(:customers, id: Sequel[:cards][:customer_id]).naked.order(Sequel[:messages][:id]).limit(SHOWN)
                         .select(Sequel[:messages][:state], :last_error, Sequel[:messages][:card_id], Sequel[:messages][:channel], Sequel[:customers][:name]).all
        end

        def channel_words(channel)
          Core::Cards::Channels::WORDS.fetch(channel.to_sym)
        end

        # @param counts [Hash{String, Symbol=>Integer}] by channel
        def by_channel(counts)
          Core::Cards::Channels::ORDER.filter_map do |channel|
            [counts[channel], counts[channel.to_s]].compact.first&.then do |count|
              "#{count} by #{channel_words(channel)}"
            end
          end.join(", ")
        end

        def message_words(state)
          { "queued" => "waiting to leave", "handing_over" => "being handed over", "failed" => "failed, will be tried again",
            "given_up" => "failed too often; a person must decide", "unsure" => "may have arrived; a person must decide",
            "handed_over" => "handed over", "rejected" => "refused: the address takes nothing", "bounced" => "came back",
            "withdrawn" => "not sent" }.fetch(state)
        end

        def answer_words(kind)
          Services::AnswerCard::KINDS.fetch(kind)
        end
      end
    end
  end
end
