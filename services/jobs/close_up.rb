# frozen_string_literal: true

module UprightBench
  module Services
    # Refits and closes a job: what was replaced is dated, wash counts rise, the clocks are set again.
    class CloseUp
      # @param stands_at [String, nil] where it waits to be fetched
      # @param wet_reason [String, nil] why a wet part goes back; recorded under the person's name
      # @param weak_reason [String, nil] why it goes although it pulls less than it should; likewise
      # @param not_mended_reason [String, nil] why it goes home with its complaint
      # @raise [Refused] while something is to do, open or untried, a stop stands, a part is wet, or it pulls too little
      def self.call(number, by:, at:, wet_reason: nil, weak_reason: nil, stands_at: nil, not_mended_reason: nil)
        EnterState.call(number, :closed_up, by: by, at: at) do |job|
          weak = PullsEnough.check(job, weak_reason.to_s.strip, by: by)
          closing = new(job, by, at, wet_reason.to_s.strip)
          closing.refuse_unfinished
          proven = Proven.check(job, not_mended_reason.to_s.strip, by: by, at: at)
          fields = { **closing.call, **weak, **proven }
          Tell.call(job, :ready, by: by, at: at)
          { **fields, stands_at: stands_at.to_s.strip[0, 40].then { |place| place unless place.empty? } }
        end
      end

      def initialize(job, by, at, wet_reason)
        @job = job
        @by = by
        @at = at
        @wet_reason = wet_reason
        @items = job.work_items_dataset.eager(:rack_stays, :part).all
      end

      def call
        BeforeCloseUp.keep(@job, at: @at)
        refit_from_rack
        read_strips # before the strip's part is replaced
        done.each { |item| date_fitting(item) }
        HomePieces.give(@job, @items, on: today)
        SetClocks.call(@job.machine, done: results.done, loads: results.loads, on: today,
          why: "found and done in job #{@job.number}")
        { closed_up_at: @at, **went_back_wet }
      end

      # @raise [Refused]
      def refuse_unfinished
        to_do = @items.select(&:to_do?)
        raise Refused, "Still to do: #{names(to_do)}." if to_do.any?

        if Models::Stop.standing.where(job_id: @job.id).any?
          raise Refused, "A stop stands on this job: record what was done about it first."
        end

        AllBack.check(@job)
      end

      private

      def today
        Config::Zone.date(@at)
      end

      def refit_from_rack
        stays = @items.reject(&:rotates).filter_map(&:on_rack) # a spare goes on drying
        wet = stays.reject { |stay| stay.dry?(@at) }
        refuse_wet(wet) if wet.any? && @wet_reason.empty?
        stays.each { |stay| TakeOffRack.take_off(stay, @job, @by, @at, @wet_reason) }
      end

      # A part may also have been taken off the rack wet before; its reason and its name stand for the job.
      # @return [Hash] the reason and the name, when a part goes back that would still be wet
      def went_back_wet
        stay = done.reject(&:rotates).filter_map { |item| item.rack_stays.last }
          .find { |stay| stay.early_reason && !stay.dry?(@at) }
        stay ? { wet_reason: stay.early_reason, wet_by: stay.off_by } : {}
      end

      def refuse_wet(wet)
        items = @items.select { |item| wet.map(&:work_item_id).include?(item.id) }
        raise Refused, "Still wet: #{names(items)}, dry " \
                       "#{Core::Units::Moment.whole(Config::Zone.local(wet.map(&:dry_at).max))}. " \
                       "A job is not closed with a wet part, unless you write your reason."
      end

      def names(items)
        items.map { |item| @job.sheet.position(item.position).name.downcase }.join(", ")
      end

      def date_fitting(item)
        old = Models::Fitting.in_place.first(machine_id: @job.machine_id, position: item.position)
        return old&.update(wash_count: old.wash_count + 1) if item.action == "wash"
        return unless item.action == "replace"

        old&.update(removed_on: [today, old.fitted_on].compact.max)
        put_in(item)
        keep_spare(item, old) if item.rotates
      end

      def put_in(item)
        Models::Fitting.create(machine_id: @job.machine_id, position: item.position, **what_goes_in(item),
          fitted_on: today, job_id: @job.id, created_by: @by.id)
      end

      # @return [Hash] part_id and wash_count
      def what_goes_in(item)
        return { part_id: item.part_id, wash_count: 0 } unless item.own_spare
        return { part_id: nil, wash_count: 0 } if item.brought
        return from_home(item) unless item.rotates

        spare = Models::Spare.waiting.first!(machine_id: @job.machine_id, position: item.position)
        spare.update(used_item_id: item.id)
        spare.values.slice(:part_id, :wash_count)
      end

      def from_home(item)
        piece = HomePieces.of(@job, item, on: today)
        piece.update(pieces: piece.pieces - 1)
        { part_id: piece.part_id, wash_count: 0 }
      end

      # What came out was washed, and waits for its turn; one that waited already is worn out or lost, and not counted
      # on.
      def keep_spare(item, old)
        Models::Spare.waiting.where(machine_id: @job.machine_id, position: item.position).update(used_item_id: item.id)
        Models::Spare.create(machine_id: @job.machine_id, position: item.position, part_id: old&.part_id,
          wash_count: (old&.wash_count || 0) + 1,
          washed_on: today, work_item_id: item.id)
      end

      def done
        @items.select { |item| item.state == "done" }
      end

      def results
        @results ||= JobResults.new(@job, done)
      end

      # A strip at so many percent of its rated hours, since it was fitted, is evidence of the use; a full one of that
      # many at least.
      def read_strips
        results.indicators.each do |key, percent|
          clock = @job.sheet.position(key).tasks.flat_map(&:clocks).find { |counted| counted.kind == :hours }
          since = Models::Fitting.in_place.where(machine_id: @job.machine_id, position: key).get(:fitted_on)
          keep_reading(key, clock.limit, percent, since) if clock && since && since < today
        end
      end

      def keep_reading(position, rated_hours, percent, since)
        Models::UseReading.create(machine_id: @job.machine_id, job_id: @job.id, position: position, kind: "strip",
          read_on: today, hours: rated_hours * percent / 100.0, weeks: (today - since).to_i / 7.0, read_by: @by.id,
          at_least: percent >= Core::Clocks::Kinds::Indicator::FULL_PERCENT)
      end
    end
  end
end
