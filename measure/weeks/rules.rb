# frozen_string_literal: true

require_relative "shop"

module UprightBench
  module Measure
    module Weeks
      # By which a shop promises and chooses what is done next.
      module Rules
        # Whoever is free takes up the first of an order that can be begun, and ends before closing as planned.
        class InOrder
          def next_for(shop, person)
            till = shop.calendar(person).till.first
            order(shop).find { |held| shop.free?(held) && held.job.work.operations[held.place].minutes <= till }
          end

          # @return [Array<Shop::InHand>] what comes first, first
          def order(shop)
            shop.in_hand.values.sort_by { |held| held.job.number }
          end
        end

        # The plan of the bench.
        class Plan < InOrder
          MOVES = 24

          # @param share [Float] of promises that are to be kept
          # @param with_part [Float] likewise, where a part is to come
          def initialize(share: 0.9, with_part: share)
            super()
            @share = share
            @with_part = with_part
            @kept = Core::Bench::Kept.new
          end

          def promise(shop, job)
            chain, others = chains(shop).partition { |one| one.number == job.number }
            take_in = Core::Bench::TakeIn.new(shop: shop.bench, chains: others, chain: chain.first.with(promise: nil),
              kept: @kept)
            answer = take_in.call(moves: MOVES)
            @kept = without_hands(Core::Bench::Kept.of(answer.schedule))
            shop.now + (answer.by.fdiv(15).ceil * 15)
          end

          def chains(shop)
            shop.chains.map { |one| one.with(share: one.waits_for_part? ? @with_part : @share) }
          end

          # Whoever is free first takes up what comes next.
          def without_hands(kept)
            Core::Bench::Kept.new(rows: kept.rows.map { |number, key, _| [number, key, nil] })
          end

          def order(shop)
            problem = Core::Bench::Problem.new(shop.bench, shop.chains)
            @kept.order(problem).map { |step| shop.in_hand.fetch(problem.chains[problem.steps[step].job].number) }.uniq
          end
        end

        # As it was: every job by itself, two open hours to spare; the longest wait goes first, then what is promised
        # soonest.
        class ByItself < InOrder
          SPARE = 120

          def order(shop)
            shop.in_hand.values.sort_by do |held|
              number = held.job.number
              [-held.job.work.operations[held.place].dry_minutes, shop.given.fetch(number).promised, number]
            end
          end

          def promise(shop, job)
            open = shop.calendar(nil)
            work, refit = job.work.operations
            wet = open.done(0, work.minutes, true)
            ready = [wet + work.dry_minutes, refit.not_before].max
            shop.now + (open.done(ready, refit.minutes + SPARE, true).fdiv(15).ceil * 15)
          end
        end

        # First come, first served; the end of the plan by that order, and so much to spare. What is done when does not
        # depend on what is promised, so that one life shows the promises with any time to spare.
        class FirstCome < InOrder
          # @param spares [Array<Integer>] open minutes; it promises with the first
          def initialize(spares)
            super()
            @spares = spares
            @promises = {}
          end

          # @param spare [Integer] one of the spares
          # @return [Integer] what would be promised with it
          def promised(number, spare)
            @promises.fetch(number).fetch(@spares.index(spare))
          end

          def promise(shop, job)
            ready = ready(shop, job)
            open = shop.calendar(nil)
            promises = @spares.map { |spare| shop.now + (open.done(ready, spare, true).fdiv(15).ceil * 15) }
            @promises[job.number] = promises
            promises.first
          end

          private

          def ready(shop, job)
            problem = Core::Bench::Problem.new(shop.bench, shop.chains)
            order = Core::Bench::Kept.new(rows: rows(problem)).order(problem)
            Core::Bench::Placing.new(problem).call(order).ready(problem.job(job.number))
          end

          def rows(problem)
            problem.steps.map { |step| [problem.chains[step.job].number, step.operation.key, nil] }
          end
        end

        # In three open days, at closing.
        class ThreeDays < InOrder
          DAYS = 3

          def promise(shop, _job)
            closings = shop.calendar(nil).till.map { |till| shop.now + till }.group_by { |till| till / World::DAY }
            closings.values[DAYS].last
          end
        end
      end
    end
  end
end
