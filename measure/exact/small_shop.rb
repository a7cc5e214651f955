# frozen_string_literal: true

require_relative "../../launch/core_alone"

module UprightBench
  module Measure
    module Exact
      # A small shop drawn at random, as a task for the planner and for an exact solver: two people with days off, one
      # of whom may do what the other may not, a rack of one to three slots, five jobs in hand (four of five with a
      # promise, some of them late already) and a sixth that is asked about.
      class SmallShop
        DAYS = 8
        MOVES = 1200 # plans that the planner tries
        OPEN = (0...DAYS).flat_map { |day| [[0, 240], [270, 540]].map { |part| part.map { |at| (day * 1440) + at } } }
          .freeze

        attr_reader :shop, :chains, :asked

        # @param seed [Integer]
        def initialize(seed)
          @random = Random.new(seed)
          @shop = Core::Bench::Shop.new(technicians: [technician(1), technician(2)],
            open: Core::Bench::Calendar.new(OPEN),
            slots: Array.new(@random.rand(1..3)) { Core::Bench::Slot.new(size: 1) })
          *chains, @asked = Array.new(6) { |number| chain(number + 1) }
          @before = plan(chains)
          @chains = chains.each_with_index.map { |chain, job| promised(chain, @before.ready(job)) }
        end

        # @return [Hash{Integer=>Integer}] job's index => until when it must be ready: its promise, or when it was ready
        #   without the sixth, where that was late
        def limits
          @chains.each_with_index.to_h { |chain, job| [job, chain.promise && [chain.promise, @before.ready(job)].max] }
            .compact
        end

        # @return [Core::Bench::TakeIn::Answer]
        def answer
          @answer ||= Core::Bench::TakeIn.new(shop: @shop, chains: @chains, chain: @asked,
            kept: Core::Bench::Kept.of(@before)).call(moves: MOVES)
        end

        private

        def plan(chains)
          problem = Core::Bench::Problem.new(@shop, chains)
          placing = Core::Bench::Placing.new(problem)
          schedule = placing.call(Core::Bench::Kept.new.order(problem))
          Core::Bench::Improve.new(placing, Core::Bench::Aim.new(problem, limits: {})).call(schedule, moves: 100)
        end

        def technician(id)
          days = OPEN.reject { @random.rand < 0.15 }
          Core::Bench::Technician.new(id: id, calendar: Core::Bench::Calendar.new(days.empty? ? OPEN : days),
            skills: id == 1 || @random.rand < 0.6 ? [:motor] : [])
        end

        def chain(number)
          washes = @random.rand < 0.5
          operations = [before(washes)]
          operations << after if washes || @random.rand < 0.5
          operations << Core::Bench::Operation.new(key: :test, pieces: [10]) if @random.rand < 0.3
          Core::Bench::Chain.new(number: number, operations: operations)
        end

        def before(washes)
          Core::Bench::Operation.new(key: :before, pieces: [@random.rand(1..12) * 5], slots: washes ? [1] : [],
            dry_minutes: washes ? @random.rand(2..30) * 60 : 0, skill: (:motor if @random.rand < 0.2),
            not_before: @random.rand < 0.2 ? @random.rand(1..20) * 60 : 0)
        end

        def after
          Core::Bench::Operation.new(key: :after, pieces: [@random.rand(1..8) * 5],
            not_before: @random.rand < 0.2 ? @random.rand(10..40) * 60 : 0)
        end

        def promised(chain, ready)
          return chain if @random.rand < 0.2

          chain.with(promise: ready + @random.rand(-30..@random.rand(0..240)))
        end
      end
    end
  end
end
