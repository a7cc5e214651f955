# frozen_string_literal: true

module UprightBench
  module Services
    # A named person records what was done about a stop; work may go on. Whoever clears a stop from the counter also
    # says that the machine is safe to open.
    class ClearStop
      # @raise [Invalid] without a note
      # @raise [Refused] when somebody else recorded something else
      def self.call(number, stop_id, note:, by:, at:)
        raise Invalid, { note: ["Write down what was done about it."] } if note.to_s.strip.empty?

        DB.transaction do
          job = Lookup.job(number, lock: true)
          stop = Models::Stop.first(id: stop_id, job_id: job.id)
          refuse_other(stop, note) if stop&.cleared_at
          clear(job, stop, note, by, at) unless stop.nil? || stop.cleared_at
          job
        end
      end

      def self.clear(job, stop, note, by, at)
        stop.update(note: note, cleared_by: by.id, cleared_at: at)
        job.update(made_safe_at: at, made_safe_by: by.id) if stop.condition && job.made_safe_at.nil?
        History.note("cleared stop", stop, by: by, at: at, job: job, data: { note: note })
      end
      private_class_method :clear

      # The first note stands; the same once more is no other.
      def self.refuse_other(stop, note)
        return if stop.note == note

        raise Refused, "#{Models::Person.with_pk!(stop.cleared_by).name} recorded what was done about it: " \
                       "“#{stop.note}”. Yours was not saved."
      end
      private_class_method :refuse_other
    end
  end
end
