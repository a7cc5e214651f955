# frozen_string_literal: true

module UprightBench
  module Screens
    # The owner's words on the cards, language by language, seen with real customers before they are kept; and what
    # cards offer.
    module Wordings
      ONE_LINE = /\A.{0,60}\z/ # what a field of one line shows

      def self.registered(app)
        app.helpers Helpers
        words_routes(app)
        offers_routes(app)
      end

      def self.words_routes(app)
        app.get("/cards/words") { words_page(words_as_kept) }

        app.post "/cards/words", may: :card_words do
          form = WordsForm.new(params)
          if params["look"]
            next erb(:"wordings/_preview", layout: !htmx?, locals: { previews: word_previews(form), form: form })
          end

          keep_words(form) ? redirect("/cards/words?language=#{form.language}", 303) : words_page(form)
        end
      end
      private_class_method :words_routes

      def self.offers_routes(app)
        app.post "/cards/offers", may: :card_offers do
          form = OfferForm.new(params)
          next offer_refused(form) unless form.ok?

          Services::Offers.begin(form.fields, by: person, at: now)
          redirect "/cards/words#offers", 303
        end

        app.post "/cards/offers/:id/end", may: :card_offers do
          Services::Offers.end(Services::Lookup.one(:offer, id_of(params["id"])), by: person, at: now)
          redirect "/cards/words#offers", 303
        end
      end
      private_class_method :offers_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        def words_page(form, offer: OfferForm.blank("starts_on" => today.iso8601, "ends_on" => (today + 90).iso8601))
          @title = "Words and offers"
          erb :"wordings/page", locals: {
            form: form, offer: offer, languages: card_words.languages, offers: Queries::OffersMade.call,
            previews: word_previews(form)
          }
        end

        def offer_refused(form)
          status 422
          words_page(words_as_kept, offer: form)
        end

        def words_as_kept
          WordsForm.blank(WordsForm.typed_from(language_asked, card_words.of(language_asked)))
        end

        # @param text [Array] as in Core::Cards::Texts
        def words_field(form, name, text)
          as_it_comes, allowed, needed, label = text
          hint = "Fields: #{in_braces(allowed)}#{". Needed: #{in_braces(needed)}" if needed.any?}" if allowed.any?
          rows = { email_body: 11, post_body: 11, phone_body: 6 }.fetch(name, 3)
          field(form, name, label: label, as: (as_it_comes.match?(ONE_LINE) ? :input : :area), hint: hint,
            maxlength: WordsForm::LONGEST,
            rows: rows, disabled: (true unless may?(:card_words)))
        end

        # @param texts [Hash{Symbol=>Array}] of Core::Cards::Texts
        def words_fields(form, texts)
          texts.map { |name, text| words_field(form, name, text) }.join
        end

        # @param group [Symbol] of Core::Cards::Texts
        # @return [Boolean] whether one of them is wrong
        def texts_wrong?(form, group)
          Core::Cards::Texts.const_get(group).keys.any? { |name| form.errors.key?(name) }
        end

        # @return [Hash{String=>Array<String>}] what a text is => what is wrong with it
        def word_problems(form)
          Core::Cards::Words.new(texts: form.texts).problems.transform_keys do |name|
            Core::Cards::Texts::ALL.fetch(name).last
          end
        end

        # The sentences of the customer's page, filled as for somebody who answered and booked a day.
        # @return [Array<String>]
        def page_preview(form)
          words = Core::Cards::Words.new(texts: form.texts)
          [words.phrase(:page_hello, customer: "Edda"), words.phrase(:page_told, answers: words.text(:will_come)),
           words.phrase(:page_booking, day: words.date(today + 3)), words.text(:page_due), words.text(:page_tell),
           words.text(:page_come_on), words.text(:page_why), *whys_preview(words),
           *%i[will_come send_part done_elsewhere not_now no_longer_have stop_writing].map { |name| words.text(name) }]
        end

        # A reason of each kind, as on the page.
        # @param words [Core::Cards::Words]
        # @return [Array<String>]
        def whys_preview(words)
          days = { from_on: today - 300, read_on: today - 60, until_on: today + 30 }
          by_clocks = Core::Clocks::Kinds::EXAMPLES.map { |key, figures| Core::Reason.of(key, **figures, **days) }
          [*by_clocks, Core::Reason.of(:history_unknown)].map { |reason| words.why(reason) }
        end

        # @return [String] when an offer holds, and for whom
        def offer_terms(offer)
          channel = ", by #{channel_words(offer.channel)} only" if offer.channel
          first = ", first cards only" if offer.first_only
          "#{day(offer.starts_on)} to #{day(offer.ends_on)}#{channel}#{first}, " \
            "#{offer.fleets ? 'fleets too' : 'not for fleets'}"
        end

        def in_braces(names)
          names.map { |name| "{#{name}}" }.join(" ")
        end

        def card_words
          @card_words ||= Services::Words.new(shop: shop)
        end

        # @return [String] a language that is asked for, else English
        def language_asked
          params["language"].to_s.match?(WordsForm::LANGUAGE) ? params["language"] : Services::Words::ENGLISH
        end

        def keep_words(form)
          return status(422) && false unless form.ok?

          Services::Words.keep(form.language, form.texts, by: person, at: now)
          say "Saved. Cards that leave from now on use these words."
          true
        rescue Services::Invalid => e
          form.add(e.errors)
          status 422
          false
        end

        # How the next cards would read with these words.
        # @return [Array<Core::Cards::Letter>] none while something is wrong with the words
        def word_previews(form)
          words = Core::Cards::Words.new(texts: form.texts)
          return [] if words.problems.any?

          cards = Queries::SampleCards.call
          prices = Services::CardPrices.call(cards.flat_map(&:due_ids), policies: policies, words: [words])
          letters = Outbox::Letters.new(cards, shop: shop, hours: policies.open_hours, prices: prices)
          cards.map { |card| letters.of(card).with(words: words) }
        end
      end
    end
  end
end
