# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What would save a promise that is in danger. Each way is tried: the plan is made with it and carried out in all
      # draws, and it counts when the promise is out of danger and none that was safe comes into it, but for that
      # of a customer who is asked for a later day.
      class Rescue
        # @!attribute kind [Symbol] of KINDS
        # @!attribute other [Integer, nil] number of the job that would wait
        # @!attribute technician [Integer, nil] id of whoever would stay on
        # @!attribute share [Float] of draws in which the promise would be kept
        # @!attribute by [Integer, nil] until when the other job could be promised instead, where its customer is asked
        #   for a later day
        Way = Struct.new(:kind, :other, :technician, :share, :by, keyword_init: true)

        KINDS = %i[wait elsewhere new_instead stay_on later_day].freeze # the easiest first
        MOVES = 24 # plans that are tried for each way
        MOST_OTHERS = 4

        # @param standing [Standing] the plan as it is
        def initialize(standing)
          @standing = standing
          @schedule = standing.schedule
          @problem = @schedule.problem
          @chances = Chances.new
        end

        # @param number [Integer] of a job whose promise is in danger
        # @return [Array<Way>]
        def call(number)
          @number = number
          @job = @problem.job(number)
          [*waits, *others_aside].compact.sort_by { |way| [KINDS.index(way.kind), -way.share] }
        end

        private

        # What is no merit of theirs is not put down to them: where another order alone would do, nobody stays on.
        def others_aside
          harmless?(effects(@problem.chains)) ? [] : [elsewhere, new_instead, *stay_on]
        end

        def waits
          others.filter_map { |other| wait(other) }
        end

        # Another job is begun only when what comes first of this one is done: while it dries, hands are free.
        def wait(other)
          begun = @schedule.ends[@problem.steps_of[@job].first.index]
          effects = effects(changed(other) { |chain| later(chain, begun) }, focus: @number)
          return unless saved?(effects)

          broken = effects.breaks
          return way(:wait, effects, other: other) if broken.empty?

          way(:later_day, effects, other: other, by: broken.first.by) if broken.map(&:number) == [other]
        end

        def later(chain, begun)
          chain.with(operations: chain.operations.map do |operation|
            operation.not_before < begun ? operation.with(not_before: begun, late_spread: 0.0) : operation
          end)
        end

        # Those that are planned before it is ready, and are not pinned: what holds it up before all others.
        def others
          numbers = @problem.steps.select { |step| early?(step) }.map { |step| @problem.chains[step.job].number }
          ((HeldUp.by(@schedule, @job) & numbers) | numbers).first(MOST_OTHERS)
        end

        def early?(step)
          step.job != @job && !step.fixed && @schedule.starts[step.index] < @schedule.ready(@job)
        end

        # What is washed does not wait for slots of the rack.
        def elsewhere
          return if @problem.steps_of[@job].none? { |step| @schedule.waits_for[step.index] == :rack }

          effects = effects(changed(@number, &:off_the_rack))
          way(:elsewhere, effects) if harmless?(effects)
        end

        # New parts are fitted instead of washing the old ones.
        def new_instead
          return unless @problem.chains[@job].dries?

          effects = effects(changed(@number, &:without_drying))
          way(:new_instead, effects) if harmless?(effects)
        end

        def stay_on
          at_it.filter_map do |technician|
            shop = @problem.shop.staying_on(technician, before: @problem.chains[@job].promise)
            effects = effects(@problem.chains, shop: shop)
            way(:stay_on, effects, technician: technician.id) if harmless?(effects)
          end
        end

        # @return [Array<Technician>] who does some of it
        def at_it
          @problem.steps_of[@job].map { |step| @schedule.technician(step.index) }.uniq(&:id)
        end

        def changed(number)
          @problem.chains.map { |chain| chain.number == number ? yield(chain) : chain }
        end

        def effects(chains, shop: @problem.shop, focus: nil)
          problem = Problem.new(shop, chains, @problem.holds)
          limits = limits(problem)
          schedule = Placing.new(problem).call(Kept.of(@schedule).order(problem, limits), [])
          improve = Improve.new(Placing.new(problem), Aim.new(problem, limits: limits),
            focus: focus && problem.job(focus))
          after = Standing.new(improve.call(schedule, moves: MOVES), chances: @chances)
          Effects.new(@standing, after)
        end

        # As early before each promise as the plan that stands is, for the others; this one as surely as it should be.
        def limits(problem)
          given = @standing.limits.except(@number).transform_keys { |number| problem.job(number) }
          given.merge(problem.job(@number) => @standing.safe_limit(@number, problem: problem))
        end

        def saved?(effects)
          effects.saves.any? { |effect| effect.number == @number }
        end

        def harmless?(effects)
          saved?(effects) && effects.breaks.empty?
        end

        def way(kind, effects, **more)
          Way.new(kind: kind, share: effects.of(@number).after, **more)
        end
      end
    end
  end
end
