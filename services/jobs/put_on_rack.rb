# frozen_string_literal: true

module UprightBench
  module Services
    # A washed part takes the first free slot that is large enough, with its clock; or dries elsewhere.
    class PutOnRack
      MOST_ELSEWHERE = 40 # letters of where that is

      # @param elsewhere [String] where it dries, if not on the rack
      # @param dry_grams [Float, nil] what it weighed before the wash
      # @param how [Hash] shaken, draught
      # @return [Models::RackStay]
      # @raise [Refused] when no slot is free, or it would not dry there
      def self.call(job, item, by:, at:, elsewhere: "", dry_grams: nil, **how)
        new(job.sheet.position(item.position), how).call(item, elsewhere.strip[0, MOST_ELSEWHERE], by: by, at: at,
          dry_grams: dry_grams)
      end

      def initialize(place, how)
        @place = place
        @how = how
        @policies = Policies.now
      end

      def call(item, elsewhere, by:, at:, dry_grams:)
        rack = elsewhere.empty?
        dry_at = at + (drying(rack).hours * 3600)
        Models::RackStay.create(rack_slot_id: (free_slot.id if rack), elsewhere: (elsewhere unless rack),
          work_item_id: item.id, washed_by: by.id, washed_at: at, dry_at: dry_at, dry_grams: dry_grams,
          ready_at: @policies.schedule.open_from(dry_at), reasons: Sequel.pg_jsonb(reasons),
          base_hours: @time.base, factor: Core::Drying::DryingTime.factor(**@how))
      end

      private

      # Of the air elsewhere nobody knows anything.
      def drying(rack)
        @time = Promises.drying(@place, @policies, **@how, **(rack ? {} : { air: nil }))
        @drying = @time.call
        return @drying if @drying.dries?

        raise Refused, "#{reasons.first.capitalize}. Say where it dries instead."
      end

      def reasons
        English::Sentences.each_of(@drying.reasons)
      end

      # The smallest that will do. Locked, so that two washes at once take two slots.
      def free_slot
        size = Core::Drying::SlotSize.of(@place)
        slots = Models::RackSlot.free.order(:size, :id).where { Sequel[:size] >= size }.for_update.skip_locked
        slots.first || raise(Refused, full(size))
      end

      def full(size)
        if Models::RackSlot.free.empty?
          return "Every slot on the rack is taken: take off what is dry, or say where it dries instead."
        end

        part = Core::Drying::SlotSize::WORDS.fetch(size)
        "No slot on the rack is free that takes a #{part} part: take off what is dry, or say where it dries instead."
      end
    end
  end
end
