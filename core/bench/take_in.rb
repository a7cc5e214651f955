# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Can one more job be taken in, and until when could it be promised? Every promise that was given keeps its chance
      # of nine in ten; one that has less already gets no less.
      #
      #   TakeIn.new(shop: shop, chains: chains, kept: kept, chain: chain).call
      #   # => Answer with the plan, the moment of the promise, and why
      class TakeIn
        # A plan that is at hand.
        # @!attribute schedule [Schedule]
        # @!attribute by [Integer] the moment by which the job is ready as surely as it should be, with some to spare
        # @!attribute planned [Integer] when it is ready if everything takes as long as planned
        # @!attribute share [Float] of draws, in which the promise would be kept
        # @!attribute shares [Hash{Integer=>Float}] number of a job with a promise => share in which it is kept
        # @!attribute held_up_by [Array<Integer>] numbers of jobs that hold it up
        # @!attribute for_room [Integer] how many slots of the rack it waits for; 0 for none
        # @!attribute for_place [Symbol, nil] of what else there is too little of: :seat or :wet_bench
        Answer = Struct.new(:schedule, :by, :planned, :share, :shares, :held_up_by, :for_room, :for_place,
          keyword_init: true) do
          # @param schedule [Schedule]
          # @param job [Integer] index of the job that is asked about
          # @return [Answer] what the plan says of it
          def self.of(schedule, job, **more)
            for_rack, others = schedule.waiting(job).partition { |_, what| what == :rack }
            new(schedule: schedule, planned: schedule.ready(job), held_up_by: HeldUp.by(schedule, job),
              for_room: for_rack.sum { |step, _| step.operation.slots.size }, for_place: others.first&.last, **more)
          end
        end

        MOVES = 24 # plans tried
        ORDERS = 3 # in which the job's place is looked for

        # @param shop [Shop]
        # @param chains [Array<Chain>] what is to be done for the others
        # @param kept [Kept] the order that stands
        # @param chain [Chain] of the job that is asked about
        # @param standing [Standing, nil] the plan without it, where it was made already
        # @param chances [Chances] which may be kept for the next question
        def initialize(shop:, chains:, chain:, kept: Kept.new, standing: nil, chances: Chances.new)
          @shop = shop
          @chains = chains
          @chain = chain
          @kept = kept
          @chances = chances
          @standing = standing
        end

        # @param moves [Integer] plans that are tried beside those that are always tried
        # @return [Answer]
        # @raise [BeyondHorizon, Impossible, NoSlot]
        def call(moves: MOVES)
          @problem = Problem.new(@shop, [*@chains, @chain], @kept.holds)
          @placing = Placing.new(@problem)
          @asked = @problem.job(@chain.number)
          (soonest(moves) || behind_all).then { |schedule, replay| answer(schedule, replay) }
        end

        # The plan without the job that is asked about.
        # @return [Standing]
        def standing
          @standing ||= Standing.of(Problem.new(@shop, @chains, @kept.holds), @kept, chances: @chances)
        end

        private

        # As soon as the others allow, of the plans that keep their limits.
        # @return [Array(Schedule, Replay), nil] nil where their chances suffer in all that were tried
        def soonest(moves)
          within(limits_here, moves).each do |schedule|
            replay = replay(schedule)
            return [schedule, replay] if standing.harmless?(replay)
          end
          nil
        end

        def limits_here
          standing.limits.transform_keys { |number| @problem.job(number) }
        end

        # Half of the moves goes into where the job stands in an order, half into what may be better near the best of
        # that, and near the plan in which the job comes first of all, which breaks what it breaks.
        # @return [Array<Schedule>] those that keep the limits and are worth carrying out, the soonest first
        def within(limits, moves)
          @aim = Aim.new(@problem, limits: limits, asked: @asked)
          placed = orders(limits).flat_map { |order, people| places(order, people, moves / (2 * ORDERS)) }
          first_of_all = placed.min_by { |schedule| schedule.ready(@asked) }
          nearby = { sooner(placed).first => @asked, first_of_all => nil }.except(nil).map do |schedule, focus|
            Improve.new(@placing, @aim, focus: focus).call(schedule, moves: moves / 4)
          end
          tested(sooner([*placed, *nearby]))
        end

        # The soonest; and the soonest of those in which nothing else is moved.
        def tested(schedules)
          [schedules.first, schedules.find { |schedule| still?(schedule) }].compact.uniq
        end

        def still?(schedule)
          @other_steps ||= @problem.steps.map(&:index) - steps.map(&:index)
          schedule.starts.values_at(*@other_steps) == standing.schedule.starts
        end

        # As work begins in the plan that stands, with everybody's work left to them; the same with nobody's; and what
        # presses most first.
        def orders(limits)
          begun = Kept.of(standing.schedule, order: standing.schedule.by_start)
          as_begun, pressing = [begun, Kept.new].map { |kept| kept.order(@problem, limits) - steps.map(&:index) }
          [[as_begun, given], [as_begun, []], [pressing, []]]
        end

        # The new job at some places of an order, evenly spaced, from the first after what is pinned to the last.
        def places(order, people, tries)
          count = [tries, order.size].min
          fixed = order.count { |step| @problem.steps[step].fixed }
          (0..count).flat_map do |place|
            front = [place * order.size / [count, 1].max, fixed].max
            together = placed_at(order, people, front)
            [together, in_time(together, order, people, front)].compact
          rescue BeyondHorizon
            []
          end
        end

        # The job begun at a place of the order, and gone on with among what begins by then.
        # @param together [Schedule] all of it at that place
        # @return [Schedule, nil] nil where it has one operation
        def in_time(together, order, people, place)
          first, *others = steps
          return if others.empty?

          begins = together.ends[first.index] + others.first.dry
          behind = order.index { |step| together.starts[step] > begins } || order.size
          return if behind <= place

          @placing.call(order.dup.insert(behind, *others.map(&:index)).insert(place, first.index), people)
        end

        def sooner(schedules)
          schedules.select { |schedule| keeps?(schedule) }.sort_by { |schedule| @aim.cost(schedule) }
        end

        def keeps?(schedule)
          @aim.harm(schedule).all?(&:zero?)
        end

        def behind_all
          others = @kept.order(@problem, limits_here) - steps.map(&:index)
          BehindAll.new(problem: @problem, chain: @chain, order: others, given: given, standing: standing,
            chances: @chances).call
        end

        def steps
          @problem.steps_of[@asked]
        end

        def placed_at(others, people, place)
          @placing.call(others.dup.insert(place, *steps.map(&:index)), people)
        end

        def given
          @given ||= @kept.given(@problem)
        end

        def replay(schedule)
          Replay.new(schedule, chances: @chances)
        end

        def answer(schedule, replay)
          by = replay.promisable(@chain.number, @chain.share).by
          Answer.of(schedule, @asked, by: by, share: replay.share(@chain.number, by),
            shares: standing.shares_in(replay))
        end
      end
    end
  end
end
