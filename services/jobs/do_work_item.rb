# frozen_string_literal: true

module UprightBench
  module Services
    # One thing of the work list is done: the part comes off the shelf, or the washed one goes on the rack.
    # Done twice is done once.
    class DoWorkItem
      # @param wash [Hash] how it was washed: shaken: Boolean, draught: Boolean
      # @param sure [Boolean] whether it may take a slot of the rack that another job needs
      # @return [Models::WorkItem]
      # @raise [Refused] while a stop stands, without a part, without stock, or without a free slot
      # @raise [TakesSlot]
      def self.call(number, item_id, by:, at:, wash: {}, sure: true)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          work = new(job, Lookup.work_item(job, item_id), wash, by, at)
          sure || !work.on_rack? ? work.call : SlotsForOthers.new(job, at: at).watch { work.call }
        end
      end

      def initialize(job, item, wash, by, at)
        @job = job
        @item = item
        @wash = wash
        @by = by
        @at = at
      end

      def call
        return @item if @item.state == "done"

        took = minutes_taken # before this press is written down itself
        refuse_too_early
        refuse_not_agreed
        OpenStep.on_the_way(@job, @item.position, by: @by, at: @at) unless @item.action == "refer"
        send(:"do_#{@item.action}")
        @item.update(state: "done", done_by: @by.id, done_at: @at, took_minutes: took)
        History.note(@item.action, @item, by: @by, at: @at, job: @job, data: { position: @item.position })
        MoveOn.call(@job)
        @item
      end

      # @return [Boolean] whether it is still to be put on the rack
      def on_rack?
        @item.state != "done" && (@item.action == "wash" || @item.rotates) && @wash.fetch(:elsewhere, "").strip.empty?
      end

      private

      # @return [Float, nil]
      def minutes_taken
        since = Models::Event.where(person_id: @by.id).where(Sequel[:at] <= @at).max(:at)
        Core::Work::Took.minutes(planned: @item.minutes, since: since, at: @at)
      end

      def refuse_too_early
        raise Refused, "The customer has not agreed yet: settle the job first." unless @job.agreed?

        stop = Models::Stop.standing.first(job_id: @job.id)
        return if stop.nil? || @item.action == "refer"

        raise Refused, "Stop: #{stop.reason} Nothing else is done until somebody records what was done about it."
      end

      # Nothing is charged that was not agreed: what came up since is agreed first.
      def refuse_not_agreed
        return if @item.action == "refer"

        agreed = Quotes.agreed(@job)
        refuse_ended_warranty(agreed)
        return if Quotes.agreement(agreed).within?(quote_so_far(agreed))

        raise Refused, "#{@job.sheet.position(@item.position).name} goes beyond what the customer agreed to: agree " \
                       "it again first."
      end

      # What it comes to with this one done.
      def quote_so_far(agreed)
        items = @job.work_items_dataset.eager(:part).order(:sequence).all
        begun = items.select { |item| item.state == "done" || item.id == @item.id }
        Quotes.of(@job, begun, held: agreed, earned: Earned.of(@job, items))
      end

      # However little it costs.
      def refuse_ended_warranty(agreed)
        risky = agreed&.warranty_name ? [] : Quotes.ends_warranty(@job, [@item], today: Config::Zone.date(@at))
        return if risky.empty?

        raise Refused, "#{risky.first.capitalize} may end the maker's warranty, and nobody agreed to that by name: " \
                       "agree it again first."
      end

      def do_clean; end

      def do_refer; end

      def do_replace
        raise Refused, "Choose the part first." unless @item.chosen?

        do_wash if @item.rotates
        take_part unless @item.own_spare
      end

      def take_part
        done = @job.work_items_dataset.where(state: "done", action: "replace", part_id: @item.part_id).all
        return if Boxes.more(@job.sheet, @item, done).zero?

        refuse_kept
        book_in if @item.part.bought_in
        MoveStock.call(@item.part, pieces: -1, kind: "used", job: @job, by: @by, at: @at)
      end

      # What was bought for this job never lay on the shelf.
      def book_in
        return if @item.part.stock.positive?

        MoveStock.call(@item.part, pieces: 1, kind: "received", job: @job, by: @by, at: @at,
          reason: "bought for job #{@job.number}")
      end

      # The level is locked, so that two jobs that ask at once are answered one after the other.
      def refuse_kept
        level = Models::StockLevel.where(part_id: @item.part_id).for_update.get(:pieces).to_i
        claims = ReservedParts.claims(@item.part)
        # None at all is said by the move itself
        return if level.zero? || (claims.index(@job.number) || claims.size) < level

        raise Refused, "The last #{@item.part.name} is reserved for job #{claims.first}, which agreed before: " \
                       "receive more, or choose another part."
      end

      def do_wash
        PutOnRack.call(@job, @item, by: @by, at: @at, **@wash)
      end
    end
  end
end
