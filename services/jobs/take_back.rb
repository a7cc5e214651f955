# frozen_string_literal: true

module UprightBench
  module Services
    # Takes back what was said too early: declined, sent to the maker, closed up, handed over. What it did is undone in
    # full, as long as nothing followed from it.
    class TakeBack
      STATES = Core::Jobs::States.names(:taken_back).freeze

      # @param reason [String] kept in the history
      # @return [Models::Job]
      # @raise [Invalid] without a reason
      # @raise [Refused] when something followed from it
      def self.call(number, reason:, by:, at:)
        Permissions.check!(:reopen, by)
        raise Invalid, { take_back_reason: ["A reason is needed."] } if reason.to_s.strip.empty?

        DB.transaction { new(Lookup.job(number, lock: true), reason.strip, by, at).call }
      end

      def initialize(job, reason, by, at)
        @job = job
        @reason = reason
        @by = by
        @at = at
      end

      def call
        before = @job.came_from.to_a.last
        unless STATES.include?(@job.state) && before
          raise Refused, "Job #{@job.number} is #{@job.state_words}: there is nothing to take back."
        end

        was = @job.state_words
        cleared = @job.state == "handed_over" ? leave_hand_over : leave_close_up_or_end
        @job.update(state: before, came_from: Sequel.pg_array(@job.came_from.to_a[0..-2], :text), **cleared)
        History.note("took back: #{was}", @job, by: @by, at: @at, job: @job, data: { note: @reason })
        @job
      end

      private

      def leave_hand_over
        refuse_late
        bill = Models::Bill.standing.first(job_id: @job.id)
        CreditBill.call(bill, reason: @reason, by: @by, at: @at) if bill
        { handed_over_at: nil, missing_note: nil }
      end

      def refuse_late
        hours = Policies.now["take_back_hours"]
        if @at > @job.handed_over_at + (hours * 3600)
          raise Refused, "It was handed over more than #{hours} hours ago. Take the machine in anew instead."
        end

        later = Models::Job.where(machine_id: @job.machine_id).where { |jobs| jobs.id > @job.id }.get(:number)
        raise Refused, "The machine was taken in again, as job #{later}." if later
      end

      def leave_close_up_or_end
        return { called_off_reason: nil } unless @job.state == "closed_up"

        BeforeCloseUp.put_back(@job, on: Config::Zone.date(@at))
        { closed_up_at: nil, wet_reason: nil, wet_by: nil, weak_air_reason: nil, weak_air_by: nil,
          not_mended_reason: nil, not_mended_by: nil }
      end
    end
  end
end
