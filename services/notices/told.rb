# frozen_string_literal: true

module UprightBench
  module Services
    # Somebody called, and told them.
    module Told
      module_function

      # @param notice [Models::Notice]
      # @raise [Refused] when there is nobody to call any more
      def call(notice, by:, at:)
        DB.transaction do
          notice.lock!
          next notice if notice.state == "called"
          raise Refused, "Nobody is to be called about this any more." unless notice.state == "to_call"

          History.note("told on the phone", notice.job, by: by, at: at, job: notice.job, data: { kind: notice.kind })
          notice.update(state: "called", told_at: at, told_by: by.id)
        end
      end
    end
  end
end
