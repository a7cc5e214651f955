# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Places operations one after the other, each where it ends soonest: with whoever may do it, in any gap that is
      # left. Every plan that comes out can be carried out; for any aim that never grows better by ending later, some
      # order leads to a best one (serial schedule generation; Kolisch 1996, European Journal of Operational Research
      # 90).
      class Placing
        # @param problem [Problem]
        def initialize(problem)
          @problem = problem
          @steps = problem.steps
        end

        # @param order [Array<Integer>] every step, none before the one it follows in its job
        # @param given [Array<Integer, nil>] by step, who does it; whoever ends soonest where nobody is given
        # @return [Schedule]
        # @raise [BeyondHorizon]
        # @raise [NoSlot] when no slot of the rack is large enough
        def call(order, given = [])
          begin_with_nothing
          order.each { |step| place(@steps[step], given[step]) }
          Schedule.new(@problem, order, given, [@starts, @ends, @people, @parts, @waits_for])
        end

        private

        def begin_with_nothing
          @free = @problem.shop.technicians.map { |technician| FreeTime.new(technician.calendar) }
          @rooms = Rooms.new(@problem)
          @starts, @ends, @people, @parts, @waits_for = Array.new(5) { Array.new(@steps.size) }
        end

        def place(step, given)
          ready = ready(step)
          people = people(step, given)
          loop do
            person = soonest(step, people, ready)
            later, what = @rooms.shift(step, @free[person])
            return take(step, person) if later.zero?

            ready = @free[person].starts_at + later
            @waits_for[step.index] = what unless @waits_for[step.index] == :rack # which is what can be helped
          end
        end

        def ready(step)
          return step.not_before unless step.before

          [@ends[step.before] + step.dry, step.not_before].max
        end

        def people(step, given)
          people = given && step.people.include?(given) ? [given] : step.people
          return people unless step.operation.other_hands && step.before

          others = people - [@people[step.before]]
          others = step.people - [@people[step.before]] if others.empty?
          others.empty? ? people : others
        end

        # With equal ends, whoever comes first.
        def soonest(step, people, ready)
          best = people.first
          ends = @free[best].fit(step.pieces, step.minutes, ready)
          people.each do |person|
            next if person == best

            other = @free[person].fit(step.pieces, step.minutes, ready)
            next if other >= ends

            best = person
            ends = other
          end
          best
        end

        def take(step, person)
          free = @free[person]
          index = step.index
          @rooms.take(step, free)
          @starts[index] = free.starts_at
          @ends[index] = free.ends_at
          @people[index] = person
          @parts[index] = free.take
        end
      end
    end
  end
end
