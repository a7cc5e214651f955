# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Which of two plans is the better one. First no promise is broken; then, of those that are broken already, as
      # many are kept after all as can be, so that nothing waits for what is lost, and the others are as few minutes
      # late as can be; then the job that is asked about is ready soonest, then all together are.
      class Aim
        PATIENCE = 540 # minutes worked (house rule)

        # What keeps the chances of the promises that were given. What nothing is promised for, as a machine that
        # nobody has looked over, does not wait longer than a day for the sake of what is late anyway.
        # @param standing [Standing]
        # @return [Aim]
        def self.of(standing)
          problem = standing.schedule.problem
          limits = standing.limits.transform_keys { |number| problem.job(number) }
          late = { **broken(standing.schedule, limits.keys), **waiting(problem, limits) }
          new(problem, limits: limits.merge(late), broken: late.keys)
        end

        # What saves as many as can be of the promises in danger, which ought to be as sure as any; the others may
        # become less sure, and stay out of danger.
        # @param standing [Standing]
        # @return [Aim]
        def self.saving(standing)
          problem = standing.schedule.problem
          limits = standing.saving_limits.transform_keys { |number| problem.job(number) }
          unpromised = waiting(problem, limits)
          in_danger = standing.in_danger.map { |number| problem.job(number) }
          new(problem, limits: { **limits, **unpromised }, broken: [*in_danger, *unpromised.keys])
        end

        def self.broken(schedule, jobs)
          promises = jobs.to_h { |job| [job, schedule.problem.chains[job].promise] }
          promises.select { |job, promise| schedule.ready(job) > promise }
            .transform_values { |promise| schedule.problem.worked(promise) }
        end

        def self.waiting(problem, limits)
          unpromised = problem.chains.each_index.reject { |job| limits.key?(job) }
          unpromised.to_h { |job| [job, problem.worked(0) + PATIENCE] }
        end
        private_class_method :broken, :waiting

        # @param problem [Problem]
        # @param limits [Hash{Integer=>Integer}] job's index => until when it must be ready, in minutes worked
        # @param broken [Array<Integer>] jobs of which that is broken already
        # @param asked [Integer, nil] index of the job that is asked about
        def initialize(problem, limits:, broken: [], asked: nil)
          @open = problem.shop.open
          @broken, @whole = limits.partition { |job, _| broken.include?(job) }
          @promised = @broken.select { |job, _| problem.chains[job].promise }
          @asked = asked
        end

        # @param schedule [Schedule]
        # @return [Array<Integer>] the smaller, the better, the first that differs decides
        def cost(schedule)
          readies = schedule.readies
          [*harm_of(readies), @asked ? readies[@asked] : 0, readies.sum { |ready| @open.worked(ready) }]
        end

        # @param schedule [Schedule]
        # @return [Array(Integer, Integer, Integer)] minutes too late for a promise that may not be broken; how many of
        #   the others are, and by how many minutes together with what nothing is promised for
        def harm(schedule)
          harm_of(schedule.readies)
        end

        private

        def harm_of(readies)
          [over(@whole, readies), @promised.count { |job, limit| @open.worked(readies[job]) > limit },
           over(@broken, readies)]
        end

        def over(limits, readies)
          limits.sum do |job, limit|
            late = @open.worked(readies[job]) - limit
            late.positive? ? late : 0
          end
        end
      end
    end
  end
end
