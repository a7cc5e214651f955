# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Carries a plan out many times, with minutes, drying and arrivals as they could turn out, and says when each job
      # is ready each time. Operations are begun in the order of the plan, each by whom it is given to, or, when they
      # are still busy, by whoever else may and is free first; while one is held up by a wait that lasts longer, nobody
      # stands idle: what follows is done meanwhile.
      class Replay
        LOOKED_AHEAD = 3 # operations

        # @param schedule [Schedule]
        # @param draws [Draws]
        def initialize(schedule, draws: Draws.usual)
          @schedule = schedule
          @problem = schedule.problem
          @steps = schedule.by_start.map { |index| @problem.steps[index] }
          @calendars = @problem.shop.technicians.map(&:calendar)
          @alike = @calendars.map { |calendar| [calendar.from, calendar.till] }.uniq.one?
          @chances = Chances.new(@problem, draws)
        end

        # @return [Array<Array<Integer>>] by job, the moments at which it is ready in Draws::COUNT draws, in the order
        #   of the draws
        def readies
          @readies ||= begin
            draws = @steps.map { |step| drawn(step) }
            all = Array.new(Draws::COUNT) { |number| carry_out(draws, number) }
            all.transpose
          end
        end

        # @param number [Integer] a job's
        # @return [Float] the share of draws in which it is ready by then
        def share(number, by)
          ready = readies[@problem.job(number)]
          ready.count { |moment| moment <= by }.fdiv(ready.size)
        end

        # @param share [Float] as 0.9
        # @return [Integer] the moment by which a job is ready in that share of draws
        def quantile(number, share)
          ready = readies[@problem.job(number)].sort
          ready[((ready.size + 1) * share).ceil - 1] || ready.last
        end

        private

        # What does not change from draw to draw: index, the one before, planned start, indices of those who may do it,
        # and whether it may be laid aside; then of each draw its minutes, those before it, and the moment before which
        # it does not begin; the job where it is its last, how urgent it is, and the minutes it is thought to take.
        def drawn(step)
          [step.index, step.before, @schedule.starts[step.index], people(step), step.pieces.size > 1,
           @chances.minutes(step), @chances.dry(step), not_before(step), step.last ? step.job : nil, rank(step),
           step.minutes]
        end

        # @return [Integer] the smaller, the more urgent
        def rank(step)
          @ranks ||= @schedule.order.each_with_index.to_h
          @ranks.fetch(step.index)
        end

        # Whose it is in the plan first. Of a test by other hands it is not asked whose the first ones were: it stays
        # whose it is.
        def people(step)
          own = [@schedule.people[step.index]]
          step.operation.other_hands ? own : own | step.people
        end

        # What waits for the rack is begun when the plan says.
        def not_before(step)
          return @chances.not_before(step) unless @schedule.waits_for_room[step.index]

          Array.new(Draws::COUNT, @schedule.starts[step.index])
        end

        # One draw. It stands in one piece: it is gone through some ten thousand times for a promise.
        def carry_out(draws, number) # rubocop:disable Metrics -- see above
          ends = []
          ready_at = Array.new(@problem.chains.size)
          free = @calendars.map { |calendar| calendar.open_from(0) }
          queue = draws.dup
          place = 0
          while (step = queue[place])
            index, before, planned, people, fluid, minutes, dry, not_before, last, rank, thought = step
            ready = not_before ? not_before[number] : 0
            if before
              begun = ends[before]
              begun += dry[number] if dry
              ready = begun if begun > ready
            end
            person = people.first
            person = soonest(people, free) if free[person] > planned && free[person] > ready
            calendar = @calendars[person]
            at = free[person]
            if at > planned && (other = more_urgent(queue, place, rank, at, ends, number))
              queue.insert(place, queue.delete_at(other))
              next
            end
            place += 1
            if ready > at && ready > planned
              free[person] = free_again(calendar, calendar.done([at, planned].max, minutes[number], fluid, thought))
              done = calendar.done(ready, minutes[number], fluid, thought)
            else
              at = ready if ready > at
              done = calendar.done(at, minutes[number], fluid, thought)
              free[person] = free_again(calendar, done)
            end
            ends[index] = done
            ready_at[last] = done if last
          end
          ready_at
        end

        # Among the next few: what is late gives way to what could be begun as well, and comes before it in the order.
        def more_urgent(queue, place, rank, at, ends, number) # rubocop:disable Metrics -- as above
          last = place + LOOKED_AHEAD
          while place < last && (step = queue[place += 1])
            next if step[9] > rank

            ready = step[7] ? step[7][number] : 0
            next if ready > at
            return place unless (before = step[1])

            begun = ends[before] or next
            begun += step[6][number] if step[6]
            return place if begun <= at
          end
        end

        def soonest(people, free)
          best = people.first
          people.each { |person| best = person if free[person] < free[best] }
          best
        end

        # Not before they are there again; where all work at the same times, that is the same for all.
        def free_again(calendar, done)
          @alike ? done : calendar.open_from(done)
        end
      end
    end
  end
end
