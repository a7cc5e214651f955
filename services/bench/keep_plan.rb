# frozen_string_literal: true

module UprightBench
  module Services
    # Writes a plan down as the one that stands.
    module KeepPlan
      module_function

      # @param schedule [Core::Bench::Schedule]
      # @param bench [BenchAt] that it was made for
      def call(schedule, bench, at:)
        steps = schedule.order.map { |index| step(schedule, schedule.problem.steps[index], bench) }
        shares = Core::Bench::Standing.new(schedule, share: bench.share).shares
        write(steps, shares.transform_keys(&:to_s), at)
      end

      # @return [nil]
      def nothing(at:)
        write([], {}, at)
        nil
      end

      def write(steps, shares, at)
        Models::BenchPlan.dataset.update(made_at: at, steps: Sequel.pg_jsonb(steps), shares: Sequel.pg_jsonb(shares))
      end

      def step(schedule, step, bench)
        job = schedule.problem.chains[step.job].number
        key = step.operation.key
        moments = { **schedule.moments(step.index), hold: schedule.problem.holds[[job, key]] }.compact
        { job: job, key: key, person: schedule.technician(step.index).id,
          **moments.transform_values { |minute| bench.time(minute).to_i } }
      end
      private_class_method :write, :step
    end
  end
end
