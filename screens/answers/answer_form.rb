# frozen_string_literal: true

module UprightBench
  module Screens
    module Answers
      # An answer: as one line that says who and what, or field by field for a card that is known already.
      class AnswerForm < Form
        KINDS = Services::AnswerCard::KINDS.keys.push("bounced").freeze
        LONGEST = 300

        takes do
          params do
            optional(:line).maybe(:string, max_size?: LONGEST)
            optional(:card_id).maybe(:integer)
            optional(:kind).maybe(:string, included_in?: KINDS)
            optional(:weeks).maybe(:integer, gteq?: 1, lteq?: Services::AnswerCard::MOST_WEEKS)
            optional(:on).maybe(:date)
            optional(:note).maybe(:string, max_size?: 500)
          end

          rule(:line, :card_id, :kind) do
            if values[:line].nil? && (values[:card_id].nil? || values[:kind].nil?)
              key(:line).failure("says who answered, and what")
            end
          end
        end

        # @param today [Date]
        # @return [Hash] as Services::HearAnswer takes it
        def said(today)
          values[:line] ? read(today) : values.slice(:kind, :weeks, :on, :note).compact
        end

        # @return [Array<Models::Card>] that may be meant
        def cards(today)
          return @cards || [] unless values[:line].is_a?(String) && !errors.key?(:line)

          @cards = Services::HearAnswer.cards_of(read(today)[:who], today: today)
        end

        # The one card that is meant; where it is in doubt, or nothing is said, the form says so.
        # @return [Models::Card, nil]
        def card(today)
          return complain("does not say what: comes, send, done, later, gone, stop, bounced") unless said(today)[:kind]
          return Services::Lookup.one(:card, values[:card_id]) if values[:card_id]
          return complain("names nobody who got a card of late") if cards(today).empty?

          cards(today).one? ? cards(today).first : complain("may be any of those below: choose one")
        end

        # @return [String] what was written down
        def words
          kind = said(Date.today)[:kind]
          kind == "bounced" ? "it came back" : Services::AnswerCard::KINDS.fetch(kind)
        end

        private

        def read(today)
          @read ||= Core::Cards::AnswerLine.new(text: values[:line], today: today).read
        end

        def complain(words)
          add(line: [words])
          nil
        end
      end
    end
  end
end
