# frozen_string_literal: true

module UprightBench
  module Services
    # The shop's open hours, as the core asks for them. A day's stretches are kept once computed, since a bench asks
    # for the same few days again and again.
    class OpenHours
      SEARCHED_DAYS = 400 # a shop that stays closed for longer is closed
      KEPT = 40 # of the shop, and of those who work there
      TIME = /\A(?:([01]\d|2[0-3]):([0-5]\d)|24:00)\z/
      DAYS = %w[sun mon tue wed thu fri sat].freeze # as Date#wday counts them

      class << self
        # One for each set of hours, kept for the life of the process.
        # @return [OpenHours]
        def for(**hours)
          @kept = {} if @kept.nil? || @kept.size > KEPT
          @kept[hours] ||= new(**hours)
        end
      end

      # @param hours [Hash{String=>Hash{String=>String}}] "mon" => { "08:30" => "12:30" }
      # @param closed_days [Array<Core::Policies::ClosedDay>]
      # @param time_zone [String]
      # @raise [Invalid] when no day opens, or times run backwards
      def initialize(hours:, closed_days:, time_zone:)
        @zone = TZInfo::Timezone.get(time_zone)
        @hours = hours.transform_values { |times| times.to_h.map { |from, till| [minutes(from), minutes(till)] }.sort }
        @closed_days = closed_days
        @days = {}
        refuse("no day is open") if @hours.values.all?(&:empty?)
        return if @hours.values.all? { |times| forward?(times) }

        refuse("a day closes before it opens, or opens twice at once")
      end

      # @return [Time] so many open minutes later
      def after(time, minutes)
        left = minutes * 60
        stretches_from(time) do |from, till|
          return from + left if left <= till - from

          left -= till - from
        end
      end

      # @return [Time] so many open minutes earlier
      def before(time, minutes)
        left = minutes.ceil * 60
        stretches_before(time) do |from, till|
          return till - left if left <= till - from

          left -= till - from
        end
      end

      # @return [Time] the first open moment at or after
      def open_from(time)
        stretches_from(time) { |from, _| return from }
      end

      # Times on the clock that there are not, or twice, on a day when the clocks change: see Config::Zone.moment.
      # @param date [Date]
      # @return [Array<Array(Time, Time)>] the open stretches of a day, none when closed
      def stretches(date)
        @days[date] ||= times_of(date).map { |times| times.map { |minute| Config::Zone.moment(@zone, date, minute) } }
          .select { |from, till| from < till }.freeze
      end

      # @return [Date] the day itself when open, else the next open one
      # @raise [Refused] when there is none for longer than a shop is ever closed
      def open_day(date)
        (date..(date + SEARCHED_DAYS)).find { |day| stretches(day).any? } || refuse_closed
      end

      # @param from [Date]
      # @return [Date] the day itself when open, else the last open one before it that is not before `from`; else the
      #   next
      def last_open_day(date, from:)
        (from..date).reverse_each.find { |day| stretches(day).any? } || open_day([date, from].max)
      end

      private

      def times_of(date)
        @closed_days.any? { |day| day.closes?(date) } ? [] : @hours.fetch(DAYS[date.wday], [])
      end

      # @return [Integer] minutes of the day
      def minutes(text)
        found = TIME.match(text) || refuse("#{text} is no time of day")
        text == "24:00" ? 1440 : (found[1].to_i * 60) + found[2].to_i
      end

      def forward?(times)
        times.flatten.each_cons(2).with_index.all? do |(time, next_one), index|
          index.even? ? time < next_one : time <= next_one
        end
      end

      def refuse(why)
        raise Invalid, { open_hours: ["These open hours do not work: #{why}."] }
      end

      # The open stretches from a moment on, the first cut to begin there.
      def stretches_from(time)
        first = @zone.to_local(time).to_date
        (first..(first + SEARCHED_DAYS)).each do |date|
          stretches(date).each { |from, till| yield [from, time].max, till if till > time }
        end
        refuse_closed
      end

      # The open stretches before a moment, the latest first and cut to end there.
      def stretches_before(time)
        last = @zone.to_local(time).to_date
        ((last - SEARCHED_DAYS)..last).reverse_each do |date|
          stretches(date).reverse_each { |from, till| yield from, [till, time].min if from < time }
        end
        refuse_closed
      end

      def refuse_closed
        raise Refused, "The shop is closed for more than #{SEARCHED_DAYS} days: check the open hours in the settings."
      end
    end
  end
end
