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

        # @param share [Float]
        # @param count [Integer] of draws, in the order of what came out
        # @return [Integer] place of the draw by which as many are in time
        def self.place(share, count)
          (((count + 1) * share).ceil - 1).clamp(0, count - 1)
        end

        # @param schedule [Schedule]
        # @param chances [Chances]
        def initialize(schedule, chances: Chances.new)
          @schedule = schedule
          @problem = schedule.problem
          @calendars = @problem.shop.technicians.map(&:calendar)
          @opens, @closes = @calendars.map { |calendar| calendar.stretch_from(0) }.transpose
          @chances = chances
          @draws = []
        end

        # @return [Array<Array<Integer>>] by job, the moments at which it is ready in Draws::COUNT draws, in the order
        #   of the draws
        def readies
          @readies ||= Array.new(Draws::COUNT) { |number| draw(number) }.transpose
        end

        # Whether every promise is kept as often as it has to be. It is not gone on with once one is not.
        # @param least [Hash{Integer=>Integer}] number of a job with a promise => draws in which it must be kept
        # @param order [Array<Integer>] draws, those that are likeliest to break one first
        def keeps?(least, order)
          promises = least.map { |number, count| [@problem.job(number), @problem.chain(number).promise, count] }
          spare = promises.map { |_, _, count| Draws::COUNT - count }
          order.all? do |number|
            ready = draw(number)
            promises.each_with_index.none? { |(job, by, _), at| ready[job] > by && (spare[at] -= 1).negative? }
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
          ready[self.class.place(share, ready.size)]
        end

        # @param number [Integer] of a job
        # @param least [Float] share of draws in which it is to be ready
        # @return [Promisable]
        def promisable(number, least)
          Promisable.new(readies[@problem.job(number)], least: least, shop: @problem.shop)
        end

        private

        # What does not change from draw to draw: index, the one before, planned start, indices of those who may do it,
        # and whether it may be laid aside; then of each draw its minutes, those before it, and the moment before which
        # it does not begin; the job where it is its last, how urgent it is, and the minutes it is thought to take.
        def drawn
          @drawn ||= @schedule.by_start.map { |index| drawn_of(@problem.steps[index]) }
        end

        def drawn_of(step)
          [step.index, step.before, @schedule.starts[step.index], people(step), step.pieces.size > 1,
           *chances(step), step.last ? step.job : nil, rank(step), step.minutes]
        end

        def chances(step)
          of = [@problem.chains[step.job], step.index - @problem.steps_of[step.job].first.index]
          [@chances.minutes(*of), @chances.dry(*of), planned_start(step) || @chances.not_before(*of)]
        end

        # Of what waits for the rack or a place: it is begun when the plan says.
        def planned_start(step)
          Array.new(Draws::COUNT, @schedule.starts[step.index]) if @schedule.waits_for[step.index]
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

        # @return [Array<Integer>] by job
        def draw(number)
          @draws[number] ||= carry_out(number)
        end

        # One draw. It stands in one piece: it is gone through some ten thousand times for a promise. What fits before
        # whoever does it goes home, as most does, is reckoned without asking their calendar.
        def carry_out(number) # rubocop:disable Metrics -- see above
          ends = []
          ready_at = Array.new(@problem.chains.size)
          free = @opens.dup
          closes = @closes.dup
          queue = drawn.dup
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
            at = free[person]
            if at > planned
              person = soonest(people, free) if at > ready
              at = free[person]
              if at > planned && (other = more_urgent(queue, place, rank, at, ends, number))
                queue.insert(place, queue.delete_at(other))
                next
              end
            end
            place += 1
            takes = minutes[number]
            fits = false
            if ready > at && ready > planned
              done = @calendars[person].done(ready, takes, fluid, thought)
              gone = @calendars[person].done([at, planned].max, takes, fluid, thought)
            else
              at = ready if ready > at
              till = closes[person]
              fits = at + takes <= till && at + thought <= till
              gone = done = fits ? at + takes : @calendars[person].done(at, takes, fluid, thought)
            end
            if fits && gone < till
              free[person] = gone
            else
              free[person], closes[person] = @calendars[person].stretch_from(gone)
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
          place = 0
          while (person = people[place += 1])
            best = person if free[person] < free[best]
          end
          best
        end
      end
    end
  end
end
