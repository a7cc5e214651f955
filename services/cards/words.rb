# frozen_string_literal: true

module UprightBench
  module Services
    # The owner's words in every language, and whether they can be sent.
    class Words
      ENGLISH = Models::Wording::ENGLISH

      # @raise [Invalid] naming each text that would leave with a hole in it
      def self.check
        problems = new.problems
        raise Invalid, { base: problems } if problems.any?
      end

      # @param language [String]
      # @param texts [Hash{Symbol=>String}] those that differ from what comes with the product
      # @raise [Invalid] by name, when a field is unknown or a needed one is missing
      def self.keep(language, texts, by:, at:)
        Permissions.check!(:card_words, by)
        problems = Core::Cards::Words.new(texts: texts).problems
        raise Invalid, problems if problems.any?

        DB.transaction do
          Models::Wording.where(language: language).delete
          texts.each do |name, text|
            Models::Wording.create(language: language, name: name.to_s, template: text,
              changed_by: by.id, changed_at: at)
          end
          History.note("worded", Models::Shop.the, by: by, at: at, data: { language: language, texts: texts.keys })
        end
      end

      def initialize(shop: Models::Shop.the)
        @shop = shop
        @by_language = Models::Wording.words
      end

      # @return [Array<String>]
      def languages
        @by_language.keys
      end

      # @return [String] the language itself when there are words in it, else English
      def spoken(language)
        @by_language.key?(language) ? language : Models::Wording::ENGLISH
      end

      # @return [Core::Cards::Words] those of the language, else the English ones
      def of(language)
        @by_language.fetch(spoken(language))
      end

      # @return [Array<String>] what would be missing from every card
      def problems
        @by_language.flat_map do |language, words|
          missing(words)
            .map { |name, error| "#{Core::Cards::Texts::ALL.fetch(name).last} (#{language}): #{error.message}" }
        end
      end

      private

      # @return [Array<Array(Symbol, Core::Cards::Wording::Missing)>] name of the text, and what is missing in it
      def missing(words)
        letter = sample(words)
        parts = Core::Cards::Channels::ALL.map(&:parts).inject(:merge)
        parts.filter_map do |name, part|
          letter.public_send(part)
          nil
        rescue Core::Cards::Wording::Missing => e
          [name, e]
        end
      end

      def sample(words)
        line = Core::Cards::Letter::Line.new(machine: "machine", part: "part", action: "replace",
          due_on: Date.new(2000), overdue: false)
        Core::Cards::Letter.new(customer: "customer", shop: @shop.name, shop_phone: @shop.phone, lines: [line],
          link: "link", words: words)
      end
    end
  end
end
