# frozen_string_literal: true

module UprightBench
  module Services
    # A job that ends without the work: the customer declined, or it is referred to somebody else.
    class EndEarly
      STATES = Core::Jobs::States.names(:ended_early).freeze

      # @param how [String] declined or referred
      # @raise [Refused] when it is too late for that, or parts lie on the rack
      def self.call(number, how:, by:, at:)
        raise NotFound, "A job is declined or referred." unless STATES.include?(how)

        EnterState.call(number, how.to_sym, by: by, at: at) do |job|
          raise Refused, "Parts of this job lie on the rack: take them off first." if job.work_items.any?(&:on_rack)

          AllBack.check(job)

          {}
        end
      end
    end
  end
end
