# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # All that is said to customers, in one language. What the owner has not worded is as it comes (Texts).
      #
      #   Words.new(texts: { replace: "a fresh {part}" }).phrase(:replace, part: "cassette")  # => "a fresh cassette"
      class Words
        include Value

        # @!attribute texts [Hash{Symbol=>String}] what the owner has worded
        fields texts: {}

        # Texts that are names, parted by commas: how many.
        LISTS = { months: ["twelve", 12], weekdays: ["seven", 7], traits: ["five", 5],
                  **%i[count_hours count_months count_bags count_washes].to_h { |name| [name, ["two", 2]] } }.freeze

        # @return [Hash{Symbol=>Array<String>}] what is wrong with the owner's texts, by name
        def problems
          texts.to_h { |name, text| [name, problems_of(name, text)] }.reject { |_, found| found.empty? }
        end

        # @return [String] as the owner worded it, or as it comes
        def text(name)
          texts.fetch(name) { Texts.as_it_comes(name) }
        end

        # @raise [Wording::Missing]
        def phrase(name, **values)
          Wording.new(text: text(name)).fill(values)
        end

        # @param date [Date]
        # @return [String] as in "March 2027"
        def month(date)
          "#{listed(:months, date.month - 1)} #{date.year}"
        end

        # @return [String] as in "15 minutes of bench time are free when we fit it by 24 January 2027."
        def offer(minutes:, until_on:)
          phrase(:offer, minutes: minutes, until: full_date(until_on))
        end

        # @param reason [Reason] why a task is due on its day
        # @return [String]
        def why(reason)
          ReasonWords.new(self).sentence(reason)
        end

        # @param date [Date]
        # @return [String] as in "24 January 2027"
        def full_date(date)
          phrase(:full_date, day: date.day, month: listed(:months, date.month - 1), year: date.year)
        end

        # @param date [Date]
        # @return [String] as in "Friday, 4 December"
        def date(date)
          phrase(:date, weekday: listed(:weekdays, date.cwday - 1), day: date.day,
            month: listed(:months, date.month - 1))
        end

        # @param hours [Hash{String=>Hash{String=>String}}] when the shop is open, as in Policies::Week::OPEN_HOURS
        # @return [String] as in "Monday to Friday 08:30–12:30, 13:00–17:30; Saturday 09:00–13:00"
        def hours(hours)
          days = Policies::Week::DAYS.keys.each_with_index.map { |day, index| [index, hours.fetch(day, {})] }
          alike = days.chunk_while { |one, next_one| one.last == next_one.last }
          alike.reject { |spell| spell.first.last.empty? }.map { |spell| open_words(*spell.first, spell.last.first) }
            .join("; ")
        end

        # @param field [Symbol]
        # @return [Boolean] whether a card says it
        def say?(field)
          Channels::ALL.flat_map { |channel| channel.parts.keys }
            .any? { |name| Wording.new(text: text(name)).names.include?(field) }
        end

        # @return [String] a name of a text that is a list
        def listed(name, index)
          list(text(name)).fetch(index)
        end

        private

        # @param first [Integer] day of the week, from 0
        def open_words(first, times, last)
          times = times.map { |pair| pair.map { |text| Units::Moment.typed_clock(text) }.join("–") }.join(", ")
          return phrase(:open_day, day: listed(:weekdays, first), times: times) if first == last

          phrase(:open_days, first: listed(:weekdays, first), last: listed(:weekdays, last), times: times)
        end

        def list(text)
          text.split(",").map(&:strip).reject(&:empty?)
        end

        def problems_of(name, text)
          _, allowed, needed, = Texts::ALL.fetch(name)
          names = Wording.new(text: text).names
          [("has no text" if text.strip.empty?), unknown_fields(names - allowed, allowed),
           ("must say #{braces(needed - names)}" if (needed - names).any?), wrong_list(name, text)].compact
        end

        def unknown_fields(unknown, allowed)
          return if unknown.empty?

          "knows no #{braces(unknown)}; there is #{allowed.empty? ? 'no field here' : braces(allowed)}"
        end

        def wrong_list(name, text)
          words, count = LISTS[name]
          "are #{words} names, parted by commas" if count && list(text).size != count
        end

        def braces(names)
          names.map { |name| "{#{name}}" }.join(" ")
        end
      end
    end
  end
end
