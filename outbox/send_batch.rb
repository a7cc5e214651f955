# frozen_string_literal: true

require "que"

module UprightBench
  module Outbox
    # The queue's job for a batch: hands over what may leave now, and comes again when more may.
    class SendBatch < Que::Job
      def run(batch_id)
        again = Round.new(batch_id).call
        self.class.enqueue(batch_id, job_options: { run_at: again }) if again
      end
    end
  end
end
