# frozen_string_literal: true

module UprightBench
  module Services
    # A step is undone: what came off in it is back, and counted in. Done twice is done once.
    class CloseStep
      # @param counts [Hash{String=>Integer}, nil] as CountTray takes them
      # @return [Models::OpenedStep]
      # @raise [Refused] while what lies behind it is open, or a part that belongs there is wet
      def self.call(number, key, by:, at:, counts: nil)
        DB.transaction { new(Lookup.job(number, lock: true), key, by, at).call(counts) }
      end

      def initialize(job, key, by, at)
        @job = job
        @step = TrayOfJob.step(job, key)
        @by = by
        @at = at
      end

      def call(counts)
        opened = Models::OpenedStep.standing.first(job_id: @job.id, step: @step.key) or return last_time
        refuse_open_behind
        put_in_from_rack
        CountTray.call(opened, Expected.of(opened, @step), counts, by: @by, at: @at)
        opened.update(closed_at: @at, closed_by: @by.id)
        History.note("closed", opened, by: @by, at: @at, job: @job, data: { step: @step.key })
        opened
      end

      # What should lie on the tray: what was found missing and explained is not looked for again.
      module Expected
        module_function

        # @return [Array<Core::Strip::Piece>]
        def of(opened, step)
          given_up = opened.differences.group_by(&:piece).transform_values { |found| found.sum(&:given_up) }
          Core::Strip::Piece.of(step).map { |piece| piece.with(count: piece.count - given_up.fetch(piece.key, 0)) }
        end
      end

      private

      # @raise [Refused] when it was never open
      def last_time
        Models::OpenedStep.where(job_id: @job.id, step: @step.key).order(:id).last ||
          raise(Refused, "#{@step.name}: it is not open.")
      end

      def refuse_open_behind
        behind = TrayOfJob.call(@job).open_behind(@step)
        raise Refused, "Close first: #{behind.map { |step| step.name.downcase }.join(', ')}." if behind.any?
      end

      # What is dry goes in now; what is wet keeps its way in open.
      def put_in_from_rack
        stays = behind_it.filter_map(&:on_rack)
        wet = stays.reject { |stay| stay.dry?(@at) }
        if wet.any?
          names = wet.map { |stay| @job.sheet.position(stay.work_item.position).name }.join(", ")
          raise Refused, "#{names}: still wet on the rack, and it goes in before this is closed."
        end

        stays.each { |stay| TakeOffRack.take_off(stay, @job, @by, @at, nil) }
      end

      # @return [Array<Models::WorkItem>] whose part has its way in here
      def behind_it
        places = TrayOfJob.call(@job).places_behind(@step)
        @job.work_items_dataset.where(position: places, rotates: false).eager(rack_stays: :work_item).all
      end
    end
  end
end
