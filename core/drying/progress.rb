# frozen_string_literal: true

module UprightBench
  module Core
    module Drying
      # How far a washed part has dried while the air of its room changes. In damp air water leaves more slowly, in
      # proportion to what the air falls short of saturation; so each hour counts as much as its air draws, until the
      # hours are together that it takes in the air they are meant for. Never sooner than those hours on the clock.
      #
      #   Progress.new(base_hours: 24, factor: 1, washed_at: t0, readings: [[t0, air], [t1, damp]]).dry_at(now)
      class Progress
        SECONDS = 3600.0
        DAY = 86_400

        # @param base_hours [Numeric] in the air that hours are meant for
        # @param factor [Numeric] how many times as long it takes: not shaken out, in a draught
        # @param washed_at [Time]
        # @param readings [Array<Array(Time, Air)>] each holds until the next; before the first, and where there is
        #   none, the air is taken as it should be
        def initialize(base_hours:, factor:, washed_at:, readings:)
          @base = base_hours
          @need = base_hours * factor
          @washed_at = washed_at
          @readings = readings.sort_by(&:first)
        end

        # @param now [Time] after which the air is taken to be what it was, on the whole, in the day before: a night is
        #   damper than the day that follows
        # @return [Time, nil] when it is dry; nil when that takes longer than anything should lie here
        def dry_at(now)
          done = 0.0
          pieces(@washed_at, now).each do |from, till, rate|
            drawn = (till - from) / SECONDS * rate
            return latest(done_at(from, rate, done)) if rate.positive? && done + drawn >= @need

            done += drawn
          end
          rate = usual_rate(now)
          latest(done_at([now, @washed_at].max, rate, done)) if rate.positive?
        end

        private

        def done_at(from, rate, done)
          from + ((@need - done) / rate * SECONDS)
        end

        # Of the day before; where nothing was read yet in it, the air is taken to have been as it is.
        def usual_rate(now)
          last = rate_of(@readings.last&.last)
          first = [now - DAY, @readings.first&.first || now].max
          known = pieces(first, now)
          unknown = DAY - known.sum { |from, till, _| till - from }
          ((unknown * last) + known.sum { |from, till, rate| (till - from) * rate }) / DAY
        end

        # @return [Array<Array(Time, Time, Float)>] from, till, and how fast it dries then
        def pieces(first, now)
          rates = [rate_of(nil), *@readings.map { |_, air| rate_of(air) }]
          [first, *@readings.map(&:first), now].each_cons(2).zip(rates).filter_map do |(from, till), rate|
            from = [from, first].max
            till = [till, now].min
            [from, till, rate] if till > from
          end
        end

        def rate_of(air)
          return 1.0 if air.nil?
          return 0.0 if air.humidity_percent >= DryingTime::WILL_NOT_DRY_PERCENT

          air.deficit_kpa / DryingTime::REFERENCE.deficit_kpa
        end

        def latest(time)
          dry = [time, @washed_at + (@base * SECONDS)].max
          dry if dry - @washed_at <= [DryingTime::MOST_HOURS, @base].max * SECONDS
        end
      end
    end
  end
end
