# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Looks for a better plan near one that there is: an operation is put elsewhere in the order, two change places,
      # or one is given to somebody else. As many plans are tried as the caller says, the same ones each time.
      class Improve
        STALE = 60   # plans without a better one, after which it goes on from the best a few steps off
        KICK = 3     # such steps
        EVEN = 4     # of so many moves, one gives work to somebody else, and one changes two about
        STRIDE = 7919 # a prime: steps and places are gone through in leaps, each pair once before any comes again

        # @param placing [Placing]
        # @param aim [Aim]
        # @param focus [Integer, nil] index of a job whose operations are moved half of the time
        def initialize(placing, aim, focus: nil, seed: 1)
          @placing = placing
          @aim = aim
          @focus = focus
          @numbers = Numbers.new(seed)
        end

        # @param schedule [Schedule]
        # @param moves [Integer] plans that are tried
        # @return [Schedule] no worse than the one given
        def call(schedule, moves:)
          @problem = schedule.problem
          @movable = @problem.steps.reject(&:fixed).map(&:index)
          @focused = @focus ? @problem.steps_of[@focus].map(&:index) & @movable : []
          return schedule if @movable.empty?

          @best = @current = [schedule, @aim.cost(schedule)]
          @since = @turn = 0
          moves.times { try }
          @best.first
        end

        private

        def try
          @since += 1
          kick if @since > STALE
          order = @current.first.order.dup
          given = @current.first.given.dup
          (@kicks.to_i.positive? ? KICK : 1).times { move(order, given) }
          keep(@placing.call(order, given))
        rescue BeyondHorizon
          @kicks = 0
        end

        def kick
          @kicks = 1
          @current = @best
          @since = 0
        end

        # One as good is gone on from too: on a plain, one has to walk to find the edge.
        def keep(schedule)
          cost = @aim.cost(schedule)
          better = (cost <=> @best.last).negative?
          @since = 0 if better
          @best = [schedule, cost] if better
          @current = [schedule, cost] if @kicks.to_i.positive? || (cost <=> @current.last) <= 0
          @kicks = 0
        end

        def move(order, given)
          case @numbers.below(EVEN)
          when 0 then give(chosen, given)
          when 1 then change(order, chosen)
          else put_next(order)
          end
        end

        # Half of the time an operation of the job in focus, if there is one.
        def put_next(order)
          return put(order, chosen, @numbers.below(order.size)) if @focused.any? && @numbers.below(2).zero?

          @turn += 1
          step, place = ((@turn * STRIDE) % (@movable.size * order.size)).divmod(order.size)
          put(order, @movable[step], place)
        end

        def chosen
          steps = @focused.any? && @numbers.below(2).zero? ? @focused : @movable
          steps[@numbers.below(steps.size)]
        end

        # Or to nobody, for whoever is soonest; one time in a few, so is everything.
        def give(step, given)
          people = @problem.steps[step].people
          choice = @numbers.below(people.size + 2)
          choice > people.size ? given.fill(nil) : given[step] = people[choice]
        end

        # @param place [Integer] in the order; as near to it as the operations of its job allow
        def put(order, step, place)
          at = order.index(step)
          order.delete_at(at)
          first, last = bounds(order, step)
          order.insert(place.clamp(first, last), step)
        end

        def bounds(order, step)
          steps = @problem.steps
          before = steps[step].before
          following = steps[step + 1] unless steps[step].last
          [[before ? order.index(before) + 1 : 0, fixed].max, following ? order.index(following.index) : order.size]
        end

        # They stand first.
        def fixed
          @problem.steps.size - @movable.size
        end

        def change(order, step)
          other = @movable[@numbers.below(@movable.size)]
          place = order.index(other)
          put(order, other, order.index(step))
          put(order, step, place)
        end
      end
    end
  end
end
