# frozen_string_literal: true

module UprightBench
  module Screens
    module Helpers
      # How values are written: dates, times, money, marks.
      module Words
        CLOCKS = { "hours" => "run hours", "months" => "calendar", "count" => "count", "indicator" => "indicator",
                   "unknown" => "history unknown", "none" => "no clock runs" }.freeze

        def day(date)
          date && Core::Units::Day.words(date)
        end

        # As near as it needs to be: today by the hour, else with its day.
        def moment(time)
          return "" if time.nil?

          Core::Units::Moment.words(Config::Zone.local(time), today: today)
        end

        def money(cents)
          Core::Money::Amount.words(cents)
        end

        # @return [String] as in "1 piece"
        def pieces(count)
          "#{count} #{count == 1 ? 'piece' : 'pieces'}"
        end

        def mark(name, css: "vmark")
          Drawings::Mark.image(name.to_sym, css: css)
        end

        def state_words(state)
          Core::Jobs::States::WORDS.fetch(state.to_sym)
        end

        def next_action(state)
          Core::Jobs::States::NEXT.fetch(state.to_sym)
        end

        # The early and the late bound of a due date.
        def between(due)
          return "" unless due.due_on
          return "to the day" if due.early_on == due.late_on

          "#{day(due.early_on)} and #{due.late_on ? day(due.late_on) : 'open end'}"
        end

        def clock_words(kind)
          CLOCKS.fetch(kind)
        end

        WARRANTY = { in: "in warranty", out: "out of warranty", unknown: "warranty unknown" }.freeze

        # @param warranty [Core::Intake::Warranty]
        def warranty_words(warranty)
          "#{WARRANTY.fetch(warranty.state)} (#{warranty.reason})"
        end

        def shorten(text, most = 90)
          text.to_s.length > most ? "#{text[0, most - 1]}…" : text.to_s
        end
      end
    end
  end
end
