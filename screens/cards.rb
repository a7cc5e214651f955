# frozen_string_literal: true

module UprightBench
  module Screens
    # What falls due in the coming year, who hears of it until a day and who does not, and each card.
    module Cards
      SHOWN = Queries::CardsOverview::MOST
      HORIZON_DAYS = Queries::CardsOverview::HORIZON_DAYS

      def self.registered(app)
        app.helpers Helpers
        horizon_routes(app)
        one_card_routes(app)
      end

      def self.horizon_routes(app)
        app.get("/cards") { cards_page }
        app.get("/cards/leaving") { leaving_page }

        app.post "/cards/send", may: :send_cards do
          left = id_list(params["shown"]) - id_list(params["customer_ids"])
          batch = Services::SendCards.call(by: person, at: now, until_on: leaves_until,
            at_once: params["at_once"] == "1", without: left)
          redirect "/cards/batches/#{batch.id}", 303
        rescue Services::Invalid => e
          status 422
          cards_page(problem: e.errors.values.flatten.join(" "))
        end
      end
      private_class_method :horizon_routes

      def self.one_card_routes(app)
        app.get "/cards/of/:customer" do
          preview = card_preview(Services::Lookup.one(:customer, id_of(params["customer"])))
          next pdf(post_card(preview[:letter], preview[:customer].recipient("post", shop)), "card") if params["pdf"]

          @title = "Card for #{preview[:customer].name}"
          erb :"cards/_letter", layout: !htmx?, locals: {
            **preview, channel: preview[:bundle].channel, ways: written_ways(preview[:letter])
          }
        end

        written_card_routes(app)
      end

      def self.written_card_routes(app)
        app.get("/cards/:id") { card_page(card_asked) }

        app.get "/cards/:id/card.pdf" do
          card = card_asked
          pdf post_card(Outbox::Letters.of(card), card.customer.recipient("post", shop)), "card-#{card.id}"
        end

        doubts_routes(app)
      end

      # What somebody here knows of a card that the channel does not.
      def self.doubts_routes(app)
        app.post "/cards/:id/unsure", may: :work do
          Services::SettleMessage.call(card_asked.message, arrived: params["arrived"] == "yes", by: person, at: now)
          redirect "/cards/#{id_of(params['id'])}", 303
        end

        app.post "/cards/:id/bounced", may: :work do
          Services::SettleMessage.bounced(card_asked.message, reason: Job::Note.of(params["reason"], :reason).to_s,
            by: person, at: now)
          say "Noted: this address takes nothing. What the card named may go by another channel."
          redirect "/cards/#{id_of(params['id'])}", 303
        end
      end
      private_class_method :one_card_routes, :written_card_routes, :doubts_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        include FateWords

        def card_asked
          Services::Lookup.one(:card, id_of(params["id"]))
        end

        def cards_page(problem: nil)
          @title = "Cards"
          overview = Queries::CardsOverview.new(today: today, policy: policies.cards)
          erb :"cards/page", locals: { overview: overview, until_on: leaves_until, problem: problem,
                                       returns: Outbox::Returns.new }
        end

        def leaving_page
          @title = "Cards that leave until #{day(leaves_until)}"
          book = Services::DueBook.new(today: today, policies: policies, until_on: leaves_until)
          leaving = book.leaving
          locals = { book: book, leaving: leaving, left_out: book.left_out.sort_by { |row, _| row.customer_name },
                     until_on: leaves_until, often_enough: book.often_enough }
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
          bundle = bundle_of(book)
          rows = bundle.lines.map { |task| book.by_id.fetch(task.id) }
          { letter: letter_preview(customer, bundle, rows), bundle: bundle, customer: customer }
        end

        def letter_preview(customer, bundle, rows)
          Outbox::Letters.new([]).preview(customer, rows, attempt: bundle.attempt, today: today,
            offer: Services::Offers.new(today: today).for(customer, bundle),
            prices: Services::CardPrices.call(bundle.lines.map(&:id), policies: policies))
        end

        # @raise [Services::NotFound] when no card would leave
        def bundle_of(book)
          bundle = book.bundles.first || raise(Services::NotFound, "Nothing is due for this customer.")
          return bundle if bundle.channel

          raise Services::NotFound,
            "No card leaves for this customer: they agreed to no way that we have an address for."
        end

        def post_card(letter, address)
          Papers::PostCard.new(letter: letter, address: address, sender: shop.sender, style: card_style).render
        end

        def card_style
          Papers::PostCard::Style.of("card_size" => policies["card_size"], "card_layout" => policies["card_layout"])
        end

        def card_page(card)
          @title = "Card for #{card.customer.name}"
          erb :"cards/card", locals: { card: card, message: card.message, letter: Outbox::Letters.of(card),
                                       booking: Queries::Bookings.of_card(card.id),
                                       brought: Queries::JobsBrought.of_card(card) }
        end

        def horizon_weeks(overview)
          overview.weeks.map { |week, count| horizon_week(week, count) }
        end

        def horizon_week(week, count)
          return overdue_week(count) if week == -1

          start = today + (week * 7)
          { label: (start.strftime("%b") if first_week_of_month?(start)), count: count, overdue: false,
            href: "/cards?until=#{(start + 6).iso8601}",
            chosen: leaves_until > today && (leaves_until - today).to_i / 7 == week,
            words: "#{count} due in the week of #{day(start)}: the cards that leave until its end" }
        end

        def first_week_of_month?(start)
          start > today && start.month != (start - 7).month
        end

        def overdue_week(count)
          { label: "overdue", count: count, overdue: true, href: "/cards?until=#{today.iso8601}",
            chosen: leaves_until == today, words: "#{count} overdue: the cards that leave today" }
        end

        def channel_words(channel)
          Core::Cards::Channels.of(channel).words
        end

        # @return [Hash{Symbol=>Array(String, String)}] channel => subject and text
        def written_ways(letter)
          most = Papers::CardFace::MOST_TASKS.fetch(card_style.layout)
          Core::Cards::Channels::ALL.to_h { |channel| [channel.key, channel.written(letter, most_tasks: most)] }
        end

        # @return [String] how long before the due date a card leaves on each channel
        def lead_days_words
          days = Core::Cards::Channels::ALL.map { |channel| "#{channel.by} #{policies.cards.lead_days(channel.key)}" }
          "Days before the due date that a card leaves: #{days.join(', ')}."
        end

        # @return [String] as in ", follow-up 2"; nothing for a first card
        def follow_up_words(attempt)
          attempt > 1 ? ", follow-up #{attempt - 1}" : ""
        end

        # @return [Array<Services::DueBook::Row>] what a card names
        def card_rows(book, bundle)
          Core::Cards::DropCovered.from(bundle.lines.map { |task| book.by_id.fetch(task.id) })
        end

        # @return [String] those that are not listed, by reason
        def more_left_out(left_out)
          reasons = left_out.map { |_, why| why.counted_as }.tally.sort_by { |_, count| -count }.first(6)
          "and #{left_out.size - SHOWN} more: #{reasons.map { |why, count| "#{why} (#{count})" }.join(', ')}"
        end

        # @return [String] how long a text message is, and how many it becomes
        def text_length_words(text)
          gsm = Core::Cards::Gsm.new(text: text)
          kind = gsm.encoding == :gsm7 ? "characters" : "two-byte characters, because of #{gsm.strange.join(' ')}"
          "#{gsm.length} #{kind}: #{counted(gsm.segments, 'message')}"
        end

        # @return [String]
        def held_back_words(bundle)
          return "nothing" if bundle.held_back.empty?

          bundle.held_back.values.map(&:words).tally.map { |words, times| "#{times} (#{words})" }.join(", ")
        end

        # @param counts [Hash{String, Symbol=>Integer}] by channel
        def by_channel(counts)
          Core::Cards::Channels::ORDER.filter_map do |channel|
            [counts[channel], counts[channel.to_s]].compact.first&.then do |count|
              "#{count} by #{channel_words(channel)}"
            end
          end.join(", ")
        end
      end
    end
  end
end
