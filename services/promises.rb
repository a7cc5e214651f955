# frozen_string_literal: true

module UprightBench
  module Services
    # The promise of a job from what is left to do on it.
    module Promises
      module_function

      # @return [Hash] promise_at and promise_reason, to be written to the job
      def fields(job, at:)
        promise = question(job, at)
        { promise_at: promise.call, promise_reason: promise.reason }
      end

      def question(job, at)
        policies = Policies.now
        to_do = Models::WorkItem.where(job_id: job.id, state: "to_do").all
        Core::Work::Promise.new(hours: policies.schedule, now: at, hands_on_minutes: to_do.sum(&:minutes),
                                drying_hours: longest_drying(job, to_do, policies), buffer_minutes: policies.number("promise_buffer_minutes"))
      end

      def longest_drying(job, items, policies)
        items.select { |item| item.action == "wash" }
             .map { |item| drying(job.sheet.position(item.position), policies).hours || Core::Drying::DryingTime::MOST_HOURS }.max || 0
      end

      # @return [Core::Drying::DryingTime::Answer]
      def drying(position, policies, **how)
        Core::Drying::DryingTime.new(floor_hours: position.drying_floor_hours, school_hours: policies.number("drying_hours"),
                                     room: policies.room, **how).call
      end
    end
  end
end
