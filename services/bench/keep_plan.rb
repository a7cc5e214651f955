# frozen_string_literal: true

module UprightBench
  module Services
    # Writes a plan down as the one that stands.
    module KeepPlan
      MOST_SAVED = 5 # promises in danger, for which ways out are looked for

      module_function

      # @param schedule [Core::Bench::Schedule]
      # @param bench [BenchAt] that it was made for
      def call(schedule, bench, at:)
        steps = schedule.order.map { |index| step(schedule, schedule.problem.steps[index], bench) }
        standing = Core::Bench::Standing.new(schedule)
        write(steps, standing.shares.transform_keys(&:to_s), dangers(standing, bench), at)
      end

      # @return [nil]
      def nothing(at:)
        write([], {}, [], at)
        nil
      end

      # What would save a promise is looked for once the plan is written down: it takes some seconds, for which nobody
      # waits who settles a job. If another plan was made meanwhile, it is of no use.
      # @param at [Time] when the plan was made
      # @return [nil]
      def look_for_ways(schedule, bench, at:)
        standing = Core::Bench::Standing.new(schedule)
        dangers = dangers(standing, bench, rescue_by: Core::Bench::Rescue.new(standing))
        Models::BenchPlan.where(made_at: at).update(dangers: Sequel.pg_jsonb(dangers))
        nil
      end

      def dangers(standing, bench, rescue_by: nil)
        standing.in_danger.each_with_index.map do |number, place|
          ways = rescue_by && place < MOST_SAVED ? rescue_by.call(number) : []
          { job: number, share: standing.shares.fetch(number), by: moment(bench, standing.by(number)),
            ways: ways.map { |way| { **way.to_h.compact, **(way.by ? { by: moment(bench, way.by) } : {}) } } }
        end
      end

      def moment(bench, minute)
        bench.rounded(bench.time(minute)).to_i
      end

      def write(steps, shares, dangers, at)
        Models::BenchPlan.dataset.update(made_at: at, steps: Sequel.pg_jsonb(steps), shares: Sequel.pg_jsonb(shares),
          dangers: Sequel.pg_jsonb(dangers))
      end

      def step(schedule, step, bench)
        job = schedule.problem.chains[step.job].number
        key = step.operation.key
        { job: job, key: key, person: schedule.technician(step.index).id, dries: (true if step.dry.positive?),
          **moments(schedule, step.index, schedule.problem.holds[[job, key]], bench) }.compact
      end

      def moments(schedule, index, hold, bench)
        { **schedule.moments(index), hold: hold }.compact.transform_values { |minute| bench.time(minute).to_i }
      end
      private_class_method :dangers, :moment, :moments, :write, :step
    end
  end
end
