# frozen_string_literal: true

module UprightBench
  module Services
    # A washed part takes the first free place, with its clock.
    class PutOnRack
      # @return [Models::RackStay]
      # @raise [Refused] when the rack is full or the room too damp
      def self.call(job, item, by:, at:, shaken: true, draught: false)
        policies = Policies.now
        drying = Promises.drying(job.sheet.position(item.position), policies, shaken: shaken, draught: draught)
        reasons = English::Sentences.each_of(drying.reasons)
        raise Refused, "#{reasons.first.capitalize}." unless drying.dries?

        dry_at = at + (drying.hours * 3600)
        lay(item, by, washed_at: at, dry_at: dry_at, ready_at: policies.schedule.open_from(dry_at), reasons: reasons)
      end

      def self.lay(item, by, reasons:, **times)
        Models::RackStay.create(rack_slot_id: free_slot.id, work_item_id: item.id, washed_by: by.id,
          reasons: Sequel.pg_jsonb(reasons), **times)
      end
      private_class_method :lay

      # Locked, so that two washes at once take two places.
      def self.free_slot
        Models::RackSlot.free.for_update.skip_locked.first ||
          raise(Refused, "Every slot on the rack is taken: take off what is dry.")
      end
      private_class_method :free_slot
    end
  end
end
