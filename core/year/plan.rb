# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # A year of service days for somebody with many machines: as few days as possible on which all that falls due is
      # done in time, and of those plans the one on which least is done early.
      #
      # Each task may be done within a window before its date. What was done comes round again after its interval, and
      # so does what it covers: a part that is replaced is not washed as well. What is overdue is due today. The last
      # days take along what would fall due soon after the plan's end.
      class Plan
        ServiceDay = Struct.new(:date, :tasks)

        # @param tasks [Array<Task>]
        # @param window_days [Integer] that a task may be done early
        # @param today [Date]
        # @param until_on [Date]
        # @param open_day [#call] a day => the open day on which to come, at or before it where there is one
        def initialize(tasks:, window_days:, today:, until_on:, open_day: ->(day) { day })
          @horizon = Horizon.new(today: today, until_on: until_on, open_day: open_day)
          @rounds = Rounds.new(tasks, @horizon, window_days).all
          @search = Search.new(@rounds, @horizon)
        end

        # @return [Array<ServiceDay>] in order
        def service_days
          @service_days ||= visits.map do |visit|
            ServiceDay.new(@horizon.date(visit.day), tasks_of(done[visit.day]))
          end
        end

        # @return [Boolean] whether it is known that no fewer days would do
        def fewest?
          service_days && @search.fewest?
        end

        # @return [Boolean] whether it is known, too, that with as few no less would be done early
        def best?
          service_days && @search.best?
        end

        # @return [Integer] days that there must be, at the least
        def least
          fewest? ? service_days.size : @search.least
        end

        private

        def visits
          @visits ||= @search.call.all
        end

        # @return [Hash{Integer=>Array<Integer>}] day => rounds done on it
        def done
          @done ||= visits.to_h { |visit| [visit.day, visit.done.reject { |index| @rounds[index].single }] }
            .tap { |done| @rounds.each_index { |index| put_late(done, index) } }
        end

        # Singles, and what falls due after the end, are done on the last day within their window.
        def put_late(done, index)
          round = @rounds[index]
          begun, due = round.single ? [-1, round.due] : last_done(index)
          return unless round.single || due > @horizon.last

          from = [round.opens(due), begun + 1].max
          day = visits.map(&:day).grep(from..[due, day_of_last_resort(due, begun)].max).last
          done[day] |= [index] if day
        end

        # Where closed days leave no other, what is due is done after its date.
        def day_of_last_resort(due, begun)
          due <= @horizon.last ? @horizon.latest(due, begun) : due
        end

        # @return [Array(Integer, Integer)] when a round is done for the last time, or something that covers it, and
        #   when it is due after that
        def last_done(index)
          doing = visits.select do |visit|
            visit.done.include?(index) || visit.done.any? { |other| @rounds[other].covers.include?(index) }
          end
          last = doing.last&.day
          last ? [last, last + @rounds[index].interval] : [-1, @rounds[index].due]
        end

        def tasks_of(indexes)
          covered = indexes.flat_map { |index| @rounds[index].covers }
          (indexes - covered).sort.flat_map { |index| @rounds[index].tasks }
        end
      end
    end
  end
end
