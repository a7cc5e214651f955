# frozen_string_literal: true

module UprightBench
  module Services
    # What lies on the rack dries as the air of its room changes: its clock follows the readings, and the plan follows
    # the clock.
    module FollowRoom
      WORTH_SECONDS = 900 # by which a clock moves at least

      module_function

      # @param at [Time] of the last reading
      # @return [Integer] clocks that moved
      def call(at:)
        stays = Models::RackStay.where(off_at: nil).exclude(rack_slot_id: nil).exclude(base_hours: nil).all
        stays = stays.reject { |stay| stay.dry?(at) }
        return 0 if stays.empty?

        readings = since([stays.map(&:washed_at).min, at - Core::Drying::Progress::DAY].min)
        schedule = Policies.now.schedule
        moved = stays.count { |stay| follow(stay, readings, schedule, at) }
        MakePlan.ask if moved.positive?
        moved
      end

      # @return [Array<Array(Time, Core::Drying::Air)>] with the one before, which held then
      def since(time)
        before = Models::RoomReading.where { read_at <= time }.reverse(:read_at).first
        [before, *Models::RoomReading.where { read_at > time }.order(:read_at).all].compact
          .map { |reading| [reading.read_at, reading.air] }
      end

      # @return [Boolean] whether its clock moved
      def follow(stay, readings, schedule, at)
        dry_at = Core::Drying::Progress.new(base_hours: stay.base_hours, factor: stay.factor, washed_at: stay.washed_at,
          readings: readings).dry_at(at)
        return false if dry_at && !stay.too_damp && (dry_at - stay.dry_at).abs < WORTH_SECONDS
        return false if dry_at.nil? && stay.too_damp

        lies_until(stay, dry_at || longest(stay), schedule, too_damp: dry_at.nil?)
        true
      end

      def lies_until(stay, dry_at, schedule, too_damp:)
        stay.update(dry_at: dry_at, ready_at: schedule.open_from(dry_at), too_damp: too_damp)
      end

      # What would take too long has no hour of its own; the plan takes it to lie as long as anything may.
      def longest(stay)
        stay.washed_at + ([Core::Drying::DryingTime::MOST_HOURS, stay.base_hours].max * 3600)
      end
      private_class_method :since, :follow, :lies_until, :longest
    end
  end
end
