# frozen_string_literal: true

module UprightBench
  module Queries
    # What the plan of the bench that stands says of each job.
    module PlannedJobs
      # Hands-on work, from when till when.
      Step = Struct.new(:key, :from, :till, keyword_init: true)

      module_function

      # @return [Hash{Integer=>Array<Step>}] number of a job => what is to be done, one after the other
      def now
        Models::BenchPlan.the.steps.map(&:to_hash).group_by { |step| step["job"] }
          .transform_values { |steps| steps.map { |step| step(step) }.sort_by(&:from) }
      end

      # @return [Hash{Integer=>Float}] number of a job => how sure its promise is
      def shares
        Models::BenchPlan.the.shares.to_hash.transform_keys(&:to_i)
      end

      def step(step)
        Step.new(key: step["key"].to_sym, from: Time.at(step["from"]), till: Time.at(step["till"]))
      end
      private_class_method :step
    end
  end
end
