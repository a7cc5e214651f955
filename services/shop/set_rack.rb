# frozen_string_literal: true

module UprightBench
  module Services
    # How many slots the drying rack has.
    class SetRack
      MOST = 400

      # @param slots [Integer]
      # @raise [Invalid] when there are too many
      # @raise [Refused] when more would be taken away than are free
      def self.call(slots, by:, at:)
        Permissions.check!(:settings, by)
        raise Invalid, { slots: ["From 0 to #{MOST} slots."] } unless slots.between?(0, MOST)

        DB.transaction do
          OneAtATime.wait("rack", "slots")
          more = slots - Models::RackSlot.in_use.count
          next if more.zero?

          more.positive? ? grow(more) : shrink(-more)
          History.note("set the rack", Models::Shop.the, by: by, at: at, data: { slots: slots })
        end
      end

      # How large a part each slot takes.
      # @param sizes [Hash{Integer=>Integer}] slot's id => of Core::Drying::SlotSize::WORDS; what is none is left aside
      def self.sizes(sizes, by:, at:)
        Permissions.check!(:settings, by)
        known = sizes.select { |id, size| id.between?(1, Lookup::BIGGEST_ID) && Core::Drying::SlotSize::WORDS.key?(size) }
        DB.transaction do
          changed = known.group_by(&:last).sum do |size, pairs|
            Models::RackSlot.in_use.where(id: pairs.map(&:first)).exclude(size: size).update(size: size)
          end
          next if changed.zero?

          History.note("set the rack", Models::Shop.the, by: by, at: at, data: { changed: changed })
          MakePlan.ask
        end
      end

      # Those that were taken away come back first.
      def self.grow(more)
        closed = Models::RackSlot.where(closed: true).order(:id).limit(more).select_map(:id)
        Models::RackSlot.where(id: closed).update(closed: false)
        last = Models::RackSlot.select_map(:label).map(&:to_i).max || 0
        (more - closed.size).times { |index| Models::RackSlot.create(label: (last + index + 1).to_s) }
      end

      # The last ones first.
      def self.shrink(fewer)
        free = Models::RackSlot.free.reverse(:id).limit(fewer).for_update.select_map(:id)
        raise Refused, "Only #{free.size} slots are free: take off what is dry first." if free.size < fewer

        Models::RackSlot.where(id: free).update(closed: true)
      end
      private_class_method :grow, :shrink
    end
  end
end
