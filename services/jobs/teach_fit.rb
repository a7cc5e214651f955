# frozen_string_literal: true

module UprightBench
  module Services
    # What came of a part that nobody listed: it fits this model, and is offered for the next one; or it did not, and is
    # a look-alike from now on.
    class TeachFit
      # @return [Models::WorkItem]
      # @raise [Refused] when there is nothing to say about it, or it was not fitted yet
      def self.fits(number, item_id, by:, at:)
        new(number, item_id, by, at).call do |job, item|
          raise Refused, "Fit it first, then say whether it fits." unless item.state == "done"

          KeepFit.add(item.part, job.sheet, job.sheet.position(item.position),
            said: { said_by: "tried", note: "in job #{job.number}" }, by: by, at: at)
          item.update(untried: false)
        end
      end

      # It is taken out again: it goes back on the shelf, and another part is chosen.
      # @param reason [String] why
      # @raise [Refused] also when the machine is closed up with it
      # @raise [Invalid] without a reason
      def self.misfits(number, item_id, reason:, by:, at:)
        raise Invalid, { misfit_reason: ["is needed: the next person asks why"] } if reason.to_s.strip.empty?

        new(number, item_id, by, at).call do |job, item|
          said = { part_id: item.part_id, position: item.position, model_title: job.sheet.title }
          Models::Misfit.create(**said, reason: reason.strip, job_id: job.id, said_by: by.id, said_at: at)
          UndoWorkItem.call(number, item_id, by: by, at: at)
          item.refresh.update(ChoosePart::NONE)
        end
      end

      def initialize(number, item_id, by, at)
        @number = number
        @item_id = item_id
        @by = by
        @at = at
      end

      # @yieldparam job [Models::Job] locked
      # @yieldparam item [Models::WorkItem]
      def call
        Permissions.check!(:parts, @by)
        DB.transaction do
          job = Lookup.job(@number, lock: true)
          item = Lookup.work_item(job, @item_id)
          raise Refused, "Nothing is asked about this part any more." unless item.untried

          part_id = item.part_id
          yield job, item
          History.note(item.part_id ? "said it fits" : "said it does not fit", item, by: @by, at: @at, job: job,
            data: { position: item.position, part_id: part_id })
          item
        end
      end
    end
  end
end
