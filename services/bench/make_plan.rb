# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Makes the plan of the bench anew, from the one that stands: when something happened, and when time has passed.
    module MakePlan
      MOVES = 300 # plans that are tried

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

          schedule = Core::Bench::Anew.new(standing(bench, chains)).call(moves: moves)
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
    end
  end
end
