# frozen_string_literal: true

module UprightBench
  module Services
    # A named person records what was done about a stop; work may go on. Whoever clears a stop from the counter also
    # says that the machine is safe to open.
    class ClearStop
      # @raise [Invalid] without a note
      def self.call(number, stop_id, note:, by:, at:)
        raise Invalid, { note: ["Write down what was done about it."] } if note.to_s.strip.empty?

        DB.transaction do
          job = Lookup.job(number, lock: true)
          stop = Models::Stop.standing.first(id: stop_id, job_id: job.id)
          next job if stop.nil?

          stop.update(note: note, cleared_by: by.id, cleared_at: at)
          job.update(made_safe_at: at, made_safe_by: by.id) if stop.condition && job.made_safe_at.nil?
          History.note("cleared stop", stop, by: by, at: at, job: job, data: { note: note })
          job
        end
      end
    end
  end
end
