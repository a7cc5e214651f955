# frozen_string_literal: true

module UprightBench
  module Services
    # Takes back what was ticked by mistake: the part goes back to the shelf, its rack slot is freed.
    class UndoWorkItem
      REASON = "ticked by mistake"

      # @raise [Refused] when the job is closed up
      def self.call(number, item_id, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          item = Lookup.work_item(job, item_id)
          raise Refused, "Job #{number} is closed up: nothing is undone any more." unless job.changeable?
          next item if item.to_do?

          give_back(job, item, by, at) if item.state == "done"
          SettleDue.follow(item, from: "left", to: "now") if item.state == "left"
          item.update(state: "to_do", done_by: nil, done_at: nil, took_minutes: nil)
          History.note("undid", item, by: by, at: at, job: job)
          MoveOn.call(job) if job.under_way?
          item
        end
      end

      def self.give_back(job, item, by, at)
        back_on_shelf(job, item, by, at) if item.action == "replace" && !item.own_spare
        TakeOffRack.take_off(item.on_rack, job, by, at, REASON) if item.on_rack
      end
      private_class_method :give_back

      # Not a box that serves another place of the job.
      def self.back_on_shelf(job, item, by, at)
        others = job.work_items_dataset.where(state: "done", action: "replace", part_id: item.part_id)
          .exclude(id: item.id).all
        return unless Boxes.more(job.sheet, item, others).positive?

        MoveStock.call(item.part, pieces: 1, kind: "returned", job: job, by: by, at: at)
      end
      private_class_method :back_on_shelf
    end
  end
end
