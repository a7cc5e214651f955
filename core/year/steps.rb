# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # Which visits may come after another. Singles never wait for a day of their own, and are done whenever they may;
      # of what comes round again each may be done on a day or be left for a later one.
      class Steps
        ONE_LEFT = 12 # rounds of which each in turn is left, when not all ways are followed

        # @return [Visit] where all plans begin
        attr_reader :start

        # @param rounds [Array<Rounds::Round>]
        # @param horizon [Horizon]
        def initialize(rounds, horizon)
          @rounds = rounds
          @horizon = horizon
          dues = rounds.map { |round| kept(round, round.due) }
          @start = Visit.new(day: -1, dues: dues.freeze, done: [], early: 0, number: 0, last: last?(dues))
        end

        # @return [Visit] on the last day that there is, with all that is open
        def latest(visit)
          day = last_day(visit)
          step(visit, day, open_rounds(visit, day))
        end

        # @return [Array<Visit>] on every day, with every choice
        def all(visit)
          following(visit, days(visit)) do |may|
            (0..may.size).flat_map { |count| may.combination(count).to_a }
          end
        end

        # @return [Array<Visit>] on the days that bring something together, with all that is open, or all but one
        def hopeful(visit)
          days = days(visit)
          following(visit, days & [days.first, *meeting_days(visit)]) do |may|
            [may, *may.first(ONE_LEFT).map { |left| may - [left] }, []]
          end
        end

        private

        def following(visit, days)
          till = last_day(visit)
          days.flat_map do |day|
            must, may = open_rounds(visit, day).partition { |index| must?(visit, index, day, till) }
            ways = yield(may)
            ways = ways.reject(&:empty?) if day < till || must.empty?
            ways.uniq.map { |done| step(visit, day, must + done) }
          end
        end

        def must?(visit, index, day, till)
          @rounds[index].single || (day == till && must_today?(visit, index, day))
        end

        def must_today?(visit, index, day)
          due = visit.dues[index]
          must_be_done?(due) && @horizon.latest(due, visit.day) <= day
        end

        def must_be_done?(due)
          due && due <= @horizon.last
        end

        # What falls due after the end is left, unless it does something else as well.
        def kept(round, due)
          due if due <= @horizon.last || round.covers.any?
        end

        def last?(dues)
          dues.none? { |due| must_be_done?(due) }
        end

        # @return [Integer] the day by which something must be done
        def last_day(visit)
          visit.dues.select { |due| must_be_done?(due) }.map { |due| @horizon.latest(due, visit.day) }.min
        end

        # To come before the last day is of use only to what comes round again.
        # @return [Array<Integer>] the latest first
        def days(visit)
          till = last_day(visit)
          opens = again(visit).map { |due, round| round.opens(due) }.min || till
          @horizon.open_days([opens, visit.day + 1].max.clamp(..till), till)
        end

        # @return [Array<Integer>] on which something, done then, may next be done together with something else
        def meeting_days(visit)
          others = visit.dues.each_with_index.filter_map { |due, index| due && [due, due + @rounds[index].interval] }
          again(visit).flat_map do |due, round|
            [round.opens(due), *others.flatten.map { |other| other - round.interval + round.window }]
          end
        end

        # @return [Array<Array(Integer, Rounds::Round)>]
        def again(visit)
          visit.dues.each_with_index.filter_map do |due, index|
            [due, @rounds[index]] if due && !@rounds[index].single
          end
        end

        # @return [Array<Integer>] rounds that may be done on a day; what is due on it may, however closed days fall
        def open_rounds(visit, day)
          visit.dues.each_with_index.filter_map do |due, index|
            index if due && (@rounds[index].opens(due) <= day || must_today?(visit, index, day))
          end
        end

        def step(visit, day, open)
          covered = open.flat_map { |index| @rounds[index].covers }
          dues = following_dues(visit, day, open | covered)
          done = open - covered
          Visit.new(day: day, dues: dues, done: done, before: visit, number: visit.number + 1, last: last?(dues),
            early: visit.early + early(visit, day, done))
        end

        def following_dues(visit, day, done)
          visit.dues.each_with_index.map do |due, index|
            done.include?(index) ? next_due(@rounds[index], due, day) : due
          end.freeze
        end

        # @return [Integer, nil] when it is due once more within the plan
        def next_due(round, due, day)
          kept(round, day + round.interval) unless due.nil? || round.single
        end

        # Days early of what is done; and what was seen to before waits for this visit, if its window allows.
        def early(visit, day, done)
          in_time = done.select { |index| must_be_done?(visit.dues[index]) }
          now = in_time.sum { |index| [visit.dues[index] - day, 0].max * @rounds[index].weight }
          now - (waiting(visit, day) * (day - visit.day))
        end

        # @return [Integer] singles that a visit before saw to and that can wait for this one
        def waiting(visit, day)
          return 0 unless visit.before

          @rounds.each_with_index.sum do |round, index|
            seen_to = round.single && visit.dues[index].nil? && round.due <= @horizon.last
            seen_to && round.opens(round.due) <= visit.day && day <= round.due ? round.weight : 0
          end
        end
      end
    end
  end
end
