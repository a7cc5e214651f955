# frozen_string_literal: true

require "date"

module UprightBench
  module Core
    module Cards
      # What a customer said, typed in one line: who, what, and what belongs to it, with a word of theirs behind a
      # colon.
      #
      #   AnswerLine.new(text: "apple comes tue: after lunch", today:).read # => { who: "apple", kind: "will_come", on:
      #   Tuesday, note: "after lunch" }
      class AnswerLine
        include Value

        fields :text, :today

        # The first word that is one of these parts who from what.
        KINDS = { "will_come" => %w[come comes coming], "send_part" => %w[send post],
                  "done_elsewhere" => %w[done elsewhere], "not_now" => %w[later wait not],
                  "no_longer_have" => %w[gone sold scrapped], "stop_writing" => %w[stop],
                  "bounced" => %w[bounced wrong] }.freeze
        DAYS = %w[sun mon tue wed thu fri sat].freeze
        FILLING = %w[will wants to has please it the on in now weeks week back].freeze
        USUAL_WEEKS = 4

        # @return [Hash] who (String), kind (String, nil when no word says it), on (Date, nil), weeks (Integer), note
        #   (String, nil)
        def read
          said, note = text.split(":", 2).map { |part| part.strip.empty? ? nil : part.strip }
          words = said.to_s.split
          at = words.index { |word| kind_of(word) }
          return { who: words.join(" "), kind: nil, on: nil, weeks: USUAL_WEEKS, note: note } unless at

          answer(words.first(at), words[at], words.drop(at + 1)).merge(note: note)
        end

        private

        # @param before [Array<String>] words before and behind the one that says which answer it is
        def answer(before, word, behind)
          rest = behind.map(&:downcase)
          weeks = rest.filter_map { |number| number[/\A\d{1,3}\z/]&.to_i }.first
          { who: who(before), kind: kind_of(word), on: day(rest), weeks: weeks || USUAL_WEEKS }
        end

        def kind_of(word)
          KINDS.find { |_, names| names.include?(word.downcase) }&.first
        end

        def who(words)
          words.pop while words.any? && FILLING.include?(words.last.downcase)
          words.join(" ")
        end

        # A weekday is the next one, "today" and "tomorrow" are what they say, and a date is written 2026-12-01.
        def day(words)
          words.each do |word|
            return today if word == "today"
            return today + 1 if word == "tomorrow"
            return next_weekday(DAYS.index(word[0, 3])) if DAYS.include?(word[0, 3]) && word.match?(/\A[a-z]+\z/)
            return Date.iso8601(word) if word.match?(/\A\d{4}-\d\d-\d\d\z/)
          rescue Date::Error
            next
          end
          nil
        end

        def next_weekday(weekday)
          today + ((weekday - today.wday - 1) % 7) + 1
        end
      end
    end
  end
end
