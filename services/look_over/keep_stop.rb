# frozen_string_literal: true

module UprightBench
  module Services
    # Raises a stop when a verdict asks for one; a corrected finding takes it down again, by name.
    class KeepStop
      CORRECTED = "The finding was corrected."

      def self.call(job, position, verdict, by:, at:)
        open = job.standing_stops.find { |stop| stop.position == position.key }
        if verdict&.stop
          unless open
            Models::Stop.create(job_id: job.id, position: position.key,
              reason: English::Sentences.of(verdict.reason), raised_by: by.id, raised_at: at)
          end
        else
          open&.update(note: CORRECTED, cleared_by: by.id, cleared_at: at)
        end
        job.associations.delete(:standing_stops) if open || verdict&.stop # to be read again
      end
    end
  end
end
