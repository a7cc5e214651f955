# frozen_string_literal: true

module UprightBench
  module Services
    # Frees a slot on the rack. Before the clock ends it takes a reason, which stays with the part.
    class TakeOffRack
      # @raise [Refused] when the part is still wet and no reason is given
      def self.call(stay_id, by:, at:, early_reason: nil)
        DB.transaction do
          stay = Lookup.one(:rack_stay, stay_id)
          job = Models::Job.where(id: stay.work_item.job_id).for_update.first
          next stay if stay.refresh.off_at

          take_off(stay, job, by, at, early_reason)
          MoveOn.call(job) if job.under_way? # a spare may dry long after its job
          stay
        end
      end

      # @param job [Models::Job] locked by the caller
      def self.take_off(stay, job, by, at, early_reason)
        reason = early_reason.to_s.strip
        if !stay.dry?(at) && reason.empty?
          dry_at = Core::Units::Moment.of_week(Config::Zone.local(stay.dry_at))
          raise Refused, "It is not dry before #{dry_at}. Refitted damp it smells and can kill the motor. " \
                         "To take it off now, write the reason."
        end

        stay.update(off_at: at, off_by: by.id, early_reason: stay.dry?(at) ? nil : reason)
        History.note("took off rack", stay, by: by, at: at, job: job, data: { early_reason: stay.early_reason })
      end
    end
  end
end
