# frozen_string_literal: true

module UprightBench
  module Services
    # A washed part is weighed: when it weighs what it did before the wash it is dry, and its clock ends, never before
    # the hours that its maker gives.
    module WeighOnRack
      module_function

      # @param grams [Float]
      # @return [Models::Weighing]
      # @raise [Invalid] when that cannot be the part
      # @raise [Refused] when it was not weighed before the wash, or lies there no more
      def call(stay_id, grams, by:, at:)
        DB.transaction do
          stay = Lookup.one(:rack_stay, stay_id).lock!
          refuse(stay)
          weighed = Core::Drying::WeighOut.new(stay.dry_grams, grams)
          raise Invalid, { grams: ["Is it this part? It weighed #{words(stay.dry_grams)}."] } if weighed.unlikely?

          weighing = keep(stay, grams, weighed.dry?, by, at)
          end_clock(stay, at) if weighed.dry? && at >= stay.floor_at && !stay.dry?(at)
          weighing
        end
      end

      def refuse(stay)
        raise Refused, "It is not on the rack any more." if stay.off_at
        raise Refused, "Nobody weighed it before the wash." unless stay.dry_grams
      end

      def keep(stay, grams, dry, by, at)
        weighing = Models::Weighing.create(rack_stay_id: stay.id, grams: grams, dry: dry, weighed_at: at,
          weighed_by: by.id)
        History.note("weighed", stay, by: by, at: at, job: stay.work_item.job,
          data: { grams: grams, before: stay.dry_grams })
        weighing
      end

      def end_clock(stay, at)
        stay.update(dry_at: at, ready_at: Policies.now.schedule.open_from(at), too_damp: false)
      end

      def words(grams)
        Core::Gauges::Quantities::Mass.words(grams)
      end
      private_class_method :refuse, :keep, :end_clock, :words
    end
  end
end
