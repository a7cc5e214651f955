# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Makes the plan of the bench anew, from the one that stands: when something happened, and when time has passed.
    module MakePlan
      MOVES = 300    # plans that are tried
      WORTH = 15     # minutes, summed over all jobs, below which nothing is moved about for being ready sooner

      # The queue's job that does it.
      class Work < Que::Job
        def run
          MakePlan.with_ways(at: Time.now)
        end
      end

      module_function

      # Once for all that happened until it begins: one may be at it, having read the bench before, and one may wait.
      def ask
        asked = DB[:que_jobs].where(job_class: Work.name, finished_at: nil, expired_at: nil, error_count: 0)
        Work.enqueue if asked.limit(2).select_map(:id).size < 2
      end

      # @param moves [Integer]
      # @return [Core::Bench::Schedule, nil] nil when there is nothing to do
      def call(at:, moves: MOVES)
        DB.transaction do
          Models::BenchPlan.held
          bench = BenchAt.new(at: at)
          chains = bench.chains
          next KeepPlan.nothing(at: at) if chains.empty?

          schedule = better(standing(bench, chains), moves)
          KeepPlan.call(schedule, bench, at: at)
          schedule
        end
      end

      # And what would save the promises that are in danger, for which nobody has to wait.
      # @return [nil]
      def with_ways(at:)
        schedule = call(at: at) or return
        KeepPlan.look_for_ways(schedule, BenchAt.new(at: at), at: at)
      end

      # @param bench [BenchAt]
      # @return [Core::Bench::Standing] the plan that stands
      def standing(bench, chains = bench.chains)
        problem = Core::Bench::Problem.new(bench.shop, chains, bench.kept.holds)
        Core::Bench::Standing.of(problem, bench.kept)
      end

      # @param standing [Core::Bench::Standing]
      # @param moves [Integer]
      # @return [Core::Bench::Schedule] one that is worth it, else the one that stands
      def better(standing, moves)
        before = standing.schedule
        aim = Core::Bench::Aim.of(standing)
        after = Core::Bench::Improve.new(Core::Bench::Placing.new(before.problem), aim).call(before, moves: moves)
        worth?(aim, before, after) ? after : before
      end

      def worth?(aim, before, after)
        harms = [after, before].map { |schedule| aim.harm(schedule) }
        (harms.first <=> harms.last).negative? || aim.cost(before).last - aim.cost(after).last >= WORTH
      end
      private_class_method :worth?
    end
  end
end
