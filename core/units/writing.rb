# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # How the shop writes days, times of day and figures. It is the same on every page and paper of a shop, so it is
      # not handed from one to the next: it holds for the thread (Held).
      class Writing
        include Value

        # order => the whole day, the day of a near week, the day of this year, the day on a page of its own
        DAYS = { "dmy" => { whole: "%-d %b %Y", weekday: "%a %-d %b", short: "%-d %b", long: "%A %-d %B" },
                 "mdy" => { whole: "%b %-d, %Y", weekday: "%a, %b %-d", short: "%b %-d", long: "%A, %B %-d" },
                 "ymd" => { whole: "%Y-%m-%d", weekday: "%a %b %-d", short: "%b %-d", long: "%A, %B %-d" } }.freeze
        CLOCKS = { "24" => "%H:%M", "12" => "%-l:%M\u00A0%P" }.freeze
        AS_KEPT = "24" # the clock of what is stored
        HOURS = { "24" => "%-H", "12" => "%-l" }.freeze
        MARKS = { "point" => ".", "comma" => "," }.freeze

        # @!attribute date_order [String] a key of DAYS
        # @!attribute clock [String] a key of CLOCKS
        # @!attribute decimal_mark [String] a key of MARKS
        fields date_order: "dmy", clock: "24", decimal_mark: "point"

        HELD = Held.new(:writing, new)

        class << self
          # @return [Writing] the shop's
          def now
            HELD.value
          end
        end

        # @param length [Symbol] :whole, :weekday, :short or :long
        # @return [String]
        def day(date, length)
          date.strftime(DAYS.fetch(date_order).fetch(length))
        end

        # @param local [Time] in the shop's zone
        # @return [String] as in "14:30" or "2:30 pm"
        def time(local)
          local.strftime(CLOCKS.fetch(clock))
        end

        # @return [String] as in "14" or "2": beside a line on a ruler
        def hour(local)
          local.strftime(HOURS.fetch(clock))
        end

        # @return [String]
        def mark
          MARKS.fetch(decimal_mark)
        end

        private

        def check
          DAYS.fetch(date_order)
          CLOCKS.fetch(clock)
          MARKS.fetch(decimal_mark)
        end
      end
    end
  end
end
