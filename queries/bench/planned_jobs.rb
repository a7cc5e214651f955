# frozen_string_literal: true

module UprightBench
  module Queries
    # What the plan of the bench that stands says of each job.
    module PlannedJobs
      # Hands-on work, from when till when, and by whom (id); `dries` says that it waits for what dries until then.
      Step = Struct.new(:job, :key, :person, :from, :till, :dries, keyword_init: true)

      module_function

      # @return [Hash{Integer=>Array<Step>}] number of a job => what is to be done, one after the other
      def now
        steps.group_by(&:job).transform_values { |steps| steps.sort_by(&:from) }
      end

      # @return [Array<Step>]
      def steps(plan = Models::BenchPlan.the)
        plan.steps.map { |step| step(step.to_hash) }
      end

      def step(step)
        Step.new(job: step["job"], key: step["key"].to_sym, person: step["person"], dries: step["dries"] || false,
          from: Time.at(step["from"]), till: Time.at(step["till"]))
      end
      private_class_method :step
    end
  end
end
