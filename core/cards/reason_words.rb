# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # Why something is due, in a customer's language: the reasons of a date (Clocks::Reasons) put into the owner's
      # texts.
      class ReasonWords
        # reason => its text, and what was counted; a reason that has no text of its own names the day alone
        KEYS = { **Clocks::Kinds::CARD_TEXTS, history_unknown: %i[why_unknown], start_unknown: %i[why_start_unknown],
                 nothing_runs: %i[why_nothing] }.freeze
        OTHER = %i[why_other].freeze
        LITTLE_PERCENT = 34 # what is in order is reckoned with a quarter; a figure of it would be more than was seen
        DATES = { from: :from_on, seen: :found_on, until: :until_on, read: :read_on }.freeze

        # @param words [Words]
        def initialize(words)
          @words = words
        end

        # @param reason [Reason]
        # @return [String]
        def sentence(reason)
          return reason.figures.fetch(:text) if reason.key == :written

          text, counted = text_of(reason)
          figures = reason.figures
          @words.phrase(text, amount: (amount(counted, figures[counted]) if counted), adjusted: adjusted(figures),
            rate: (amount(:hours, figures[:rate]) if figures[:rate]),
            **figures.slice(:counted, :percent, :found), **dates(figures))
        end

        private

        # What was found says more than how long the interval is.
        def text_of(reason)
          found, so_far = reason.figures.values_at(:found, :counted)
          return [found < LITTLE_PERCENT ? :why_seen_little : :why_seen] if found

          text, counted = KEYS.fetch(reason.key, OTHER)
          [text == :why_counted && so_far.to_i.zero? ? :why_counted_none : text, counted]
        end

        # @return [String] as in "50 hours"
        def amount(counted, count)
          "#{Units::Figure.words(count)} #{@words.listed(:"count_#{counted}", count == 1 ? 0 : 1)}"
        end

        def dates(figures)
          DATES.transform_values { |name| figures[name] && @words.full_date(figures[name]) }
        end

        # What made the interval shorter or longer than the sheet says; empty when nothing did.
        def adjusted(figures)
          parts = [(@words.phrase(:why_household, traits: traits(figures)) if figures.key?(:household)),
                   (@words.text(:why_found) if figures.key?(:personal))].compact
          parts.map { |part| ", #{part}" }.join
        end

        def traits(figures)
          known = Use::Household::WORDS.keys
          figures.fetch(:traits).map { |trait| @words.listed(:traits, known.index(trait.to_sym)) }.join(", ")
        end
      end
    end
  end
end
