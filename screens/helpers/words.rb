# frozen_string_literal: true

module UprightBench
  module Screens
    module Helpers
      # How values are written: dates, times, money, marks.
      module Words
        # @param date [Date, nil]
        # @return [String, nil] as in "tomorrow", "Fri 27 Nov", "5 Apr 2027"
        def day(date)
          date && Core::Units::Day.near(date, today: today)
        end

        # On paper, which is read on other days.
        def full_day(date)
          date && Core::Units::Day.words(date)
        end

        # @return [String] as in "Friday 27 November"
        def day_of_week(date)
          Core::Units::Writing.now.day(date, :long)
        end

        # @return [String] as the shop writes numbers
        def figure(number, **how)
          Core::Units::Figure.words(number, **how)
        end

        # As near as it needs to be: today by the hour, else with its day.
        # @param time [Time]
        # @return [Date] in the shop's zone
        def zone_date(time)
          Config::Zone.date(time)
        end

        # @param text [String, nil] a phone number as it is kept
        # @return [String, nil] as it is dialed from the shop
        def phone_words(text)
          Formats::PhoneNumber.shown(text, shop.country)
        end

        def moment(time)
          return "" if time.nil?

          Core::Units::Moment.words(Config::Zone.local(time), today: today)
        end

        # On paper, which is read on other days.
        def full_moment(time)
          Core::Units::Moment.whole(Config::Zone.local(time))
        end

        # What stands for a sum that somebody may not see.
        HIDDEN_SUM = "(hidden)"

        # Customers see what they pay; of those who work here, whom the owner lets.
        def money(cents)
          person.nil? || may?(:see_prices) ? policies.currency.words(cents) : HIDDEN_SUM
        end

        # @return [String] of the shop's currency
        def money_sign
          policies.currency.sign
        end

        # @return [String] as in "without tax": how prices are written
        def price_words
          policies.money.with_tax? ? "with tax" : "without tax"
        end

        # @param reason [Core::Reason]
        # @return [String]
        def sentence(reason)
          English::Sentences.of(reason)
        end

        # @param reasons [Array<Core::Reason>]
        # @return [String] in a row
        def sentences(reasons)
          English::Sentences.row_of(reasons)
        end

        # @param minutes [Numeric]
        # @return [String] as in "3 h 10"
        def minutes_words(minutes)
          Core::Units::Duration.words(minutes)
        end

        # @param count [Integer]
        # @return [String] as in "1 task" and "3 tasks"
        def counted(count, singular, plural = "#{singular}s")
          "#{count} #{count == 1 ? singular : plural}"
        end

        def pieces(count)
          counted(count, "piece")
        end

        def mark(name, css: "vmark")
          Drawings::Mark.image(name.to_sym, css: css)
        end

        def state_words(state)
          Core::Jobs::States::WORDS.fetch(state.to_sym)
        end

        # @param whose [#street, #town, #region, #postcode, #country]
        # @return [String] where they live, in a line, without the name
        def postal_rest(whose)
          Formats::PostalAddress.new(street: whose.street, town: whose.town, region: whose.region,
            postcode: whose.postcode, country: whose.country, from: shop.country).in_a_row
        end

        def next_action(state)
          Core::Jobs::States::NEXT_ACTION.fetch(state.to_sym)
        end

        # The early and the late bound of a due date.
        def between(due)
          return "" if due.due_on.nil? || done_at_home?(due)
          return "not known" if due.deciding.to_sym == :unknown
          return "that day" if due.early_on == due.late_on

          "#{day(due.early_on)} to #{due.late_on ? day(due.late_on) : 'open'}"
        end

        # What the customer looks after at home is not overdue for us: nobody knows when they did it last.
        # @return [String]
        def due_day(due)
          return "never" unless due.due_on

          done_at_home?(due) ? "done at home" : day(due.due_on)
        end

        # @return [Boolean]
        def done_at_home?(due)
          !due.due_on.nil? && due.due_on < today && !due.may_card
        end

        # @param left [Array<String>] places at which the customer left something that was due
        # @return [String] as HTML: nothing while it is not due
        def overdue_word(due, left)
          return "" unless due.due_on && due.due_on < today && due.may_card
          return "the customer leaves it" if left.include?(due.position)

          %(<span class="stop-word">overdue</span>)
        end

        # @return [String] as HTML: what the block says of each, parted by commas
        def in_a_row(things, &)
          things.map(&).join(", ")
        end

        # Escapes for HTML, where a helper builds it.
        def h(text)
          ::Rack::Utils.escape_html(text.to_s)
        end

        def clock_words(kind)
          English::Clocks::DECIDED.fetch(kind.to_sym)
        end

        # @param due [Models::Due]
        # @return [String] what its day comes from
        def decided_words(due)
          due.why.first&.figures&.key?(:found) ? "what was found" : clock_words(due.deciding)
        end

        WARRANTY = { in: "in warranty", out: "out of warranty", unknown: "warranty unknown" }.freeze

        # @param warranty [Core::Intake::Warranty]
        def warranty_words(warranty)
          "#{WARRANTY.fetch(warranty.state)} (#{sentence(warranty.reason)})"
        end

        def shorten(text, most = 90)
          text.to_s.length > most ? "#{text[0, most - 1]}…" : text.to_s
        end
      end
    end
  end
end
