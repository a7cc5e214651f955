# frozen_string_literal: true

module UprightBench
  module Services
    # May something be recorded at a place of a job now?
    module OpenToLook
      module_function

      # @param job [Models::Job]
      # @param position [String]
      # @raise [NotFound] when the job's sheet has no such place
      # @raise [Refused] when the job is past recording, or a stop from the counter keeps the machine shut
      def check(job, position)
        raise NotFound, "Job #{job.number} has no place of that name." unless job.sheet.position?(position)

        refuse_past(job)

        shut = job.standing_stops.find(&:condition)
        if shut
          raise Refused, "The machine stays shut: #{shut.reason} Record on the job's page what was done about it first."
        end
        raise Refused, "Nobody has said yet that the machine is unplugged, or its battery out." if job.made_safe_at.nil?
      end

      # @raise [Refused]
      def refuse_past(job)
        raise Refused, "Job #{job.number} is #{job.state_words}: nothing more is recorded." unless job.recordable?
      end
    end
  end
end
