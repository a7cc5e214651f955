# frozen_string_literal: true

module UprightBench
  module Screens
    # The owner's words on the cards, language by language, seen with real customers before they are kept; and what cards offer.
    module Wordings
      SAMPLE = 5 # customers that the words are tried on
      ONE_LINE = /\A.{0,60}\z/ # what a field of one line shows

      def self.registered(app)
        app.helpers Helpers
        words(app)
        offers(app)
      end

      def self.words(app)
        app.get("/cards/words") { words_page(words_as_kept) }

        app.post "/cards/words" do
          form = WordsForm.new(params)
          next erb(:"wordings/_preview", layout: !htmx?, locals: { previews: word_previews(form), form: form }) if params["look"]

          allow!(:card_words)
          keep_words(form) ? redirect("/cards/words?language=#{form.language}", 303) : words_page(form)
        end
      end
      private_class_method :words

      def self.offers(app)
        app.post "/cards/offers" do
          allow!(:card_offers)
          form = OfferForm.new(params)
          next offer_refused(form) unless form.ok?

          Services::Bonuses.begin(form.fields, by: person, at: now)
          redirect "/cards/words#offers", 303
        end

        app.post "/cards/offers/:id/end" do
          allow!(:card_offers)
          Services::Bonuses.end(Services::Lookup.one(Models::Bonus, id_of(params["id"])), by: person, at: now)
          redirect "/cards/words#offers", 303
        end
      end
      private_class_method :offers

      # Helpers of this screen's routes and templates.
      module Helpers
        def words_page(form, offer: OfferForm.blank("starts_on" => today.iso8601, "ends_on" => (today + 90).iso8601))
          @title = "Words and offers"
          erb :"wordings/page", locals: { form: form, offer: offer, languages: card_words.languages, bonuses: Models::Bonus.order(Sequel.desc(:id)).limit(20).all, previews: word_previews(form) }
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
          hint = "fields: #{in_braces(allowed)}#{"; must have #{in_braces(needed)}" if needed.any?}" if allowed.any?
          field(form, name, label: label, as: (as_it_comes.match?(ONE_LINE) ? :input : :area), hint: hint, maxlength: WordsForm::LONGEST,
                            rows: { email_body: 11, post_body: 11, phone_body: 6 }.fetch(name, 3), disabled: (true unless may?(:card_words)))
        end

        def in_braces(names)
          names.map { |name| "{#{name}}" }.join(" ")
        end

        def card_words
          @card_words ||= Services::Words.new(shop: shop)
        end

        # @return [String] a language that is asked for, else English
        def language_asked
          params["language"].to_s.match?(WordsForm::LANGUAGE) ? params["language"] : Models::Wording::ENGLISH
        end

        def keep_words(form)
          return status(422) && false unless form.ok?

          Services::Words.keep(form.language, form.texts, by: person, at: now)
          say "Kept. Cards that leave from now on say it so."
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

          sample_cards.map { |card| Outbox::Letters.of(card).with(words: words) }
        end

        # The newest cards of several customers.
        def sample_cards
          Models::Card.where(id: Models::Card.group(:customer_id).select(Sequel.function(:max, :id)).order(Sequel.desc(Sequel.function(:max, :id))).limit(SAMPLE)).eager(:customer,
                                                                                                                                                                         :lines).all
        end
      end
    end
  end
end
