# frozen_string_literal: true

require "que"

module UprightBench
  module Outbox
    # The queue's job for one message. It is tried again, later each time, when handing over fails.
    class DeliverMessage < Que::Job
      self.maximum_retry_count = 8

      def run(message_id)
        Deliver.call(message_id)
      end
    end
  end
end
