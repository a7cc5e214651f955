# frozen_string_literal: true

module UprightBench
  module Services
    # Ends the look-over: the work list is made and a first promise computed.
    class FinishLookOver
      # @raise [Refused] when nothing was looked at yet, or the job is past this point
      def self.call(number, by:, at:)
        EnterState.call(number, :looked_over, by: by, at: at) do |job|
          if Models::Finding.where(job_id: job.id).empty?
            raise Refused, "Nothing has been looked at yet: walk the air path first."
          end

          PlanWork.call(job, by: by)
          choose_best(job, at)
          Promises.fields(job, at: at)
        end
      end

      # What fits best and lies on the shelf is proposed; the person may choose another.
      def self.choose_best(job, at)
        open = job.work_items_dataset.where(action: "replace", part_id: nil, state: "to_do").all
        answers = FitFor.new(job.sheet, job.machine, today: Config::Zone.date(at), job: job).call(open.map(&:position))
        open.each do |item|
          best = answers.fetch(item.position).candidates.find { |candidate| candidate.part.on_shelf? }
          item.update(ChoosePart.chosen(best)) if best
        end
      end
    end
  end
end
