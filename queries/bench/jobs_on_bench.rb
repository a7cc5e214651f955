# frozen_string_literal: true

module UprightBench
  module Queries
    # Every job whose machine is in the shop, with what it still needs; and what lies on the rack. Four queries.
    class JobsOnBench
      # `work_minutes` are hands-on, `wet_until` when the last of what dries already may be taken up again (nil for
      # none); `dry` says that something can come off the rack, `opened` that its parts lie on a tray.
      Row = Struct.new(:number, :state, :complaint, :promise_at, :customer, :title, :stopped, :asked, :opened,
        :work_minutes, :wet_until, :dry, keyword_init: true)
      # A part on the rack.
      Stay = Struct.new(:slot, :number, :part, :to_turn, :washed_at, :dry_at, :ready_at, keyword_init: true)

      # @param now [Time]
      def initialize(now:)
        @now = now
      end

      # @return [Array<Row>] as they came in
      def rows
        @rows ||= jobs.map { |job| row(job) }
      end

      # @return [Array<Stay>] what is dry first before the others
      def stays
        @stays ||= on_rack.map { |stay| stay(stay) }.sort_by(&:dry_at)
      end

      private

      def row(job)
        to_do = to_do_by_job.fetch(job[:id], [])
        Row.new(**job.slice(:number, :state, :complaint, :promise_at, :customer, :title, :stopped, :asked, :opened),
          work_minutes: to_do.sum { |item| item[:minutes] }, **rack(job))
      end

      def rack(job)
        stays = on_rack.select { |stay| stay[:job_id] == job[:id] }
        { wet_until: stays.map { |stay| stay[:ready_at] }.max,
          dry: stays.any? { |stay| stay[:dry_at] <= @now && !stay[:too_damp] } }
      end

      def stay(row)
        place = Models::SheetVersion.parsed(row[:sheet_version_id]).position(row[:position])
        to_turn = Core::Drying::Halfway.due?(place, **row.slice(:washed_at, :dry_at, :turned_at), now: @now)
        Stay.new(slot: row[:label], part: place.name.downcase, to_turn: to_turn,
          **row.slice(:number, :washed_at, :dry_at, :ready_at))
      end

      def jobs
        @jobs ||= Models::Job.in_shop.join(:customers, id: :customer_id).join(:machines, id: Sequel[:jobs][:machine_id])
          .join(:sheets, id: Sequel[:machines][:sheet_id]).order(Sequel[:jobs][:id]).naked.select(*columns, *signs).all
      end

      def columns
        [Sequel[:jobs][:id], :number, Sequel[:jobs][:state], :complaint, :promise_at, :sheet_version_id,
         Sequel[:customers][:name].as(:customer), Sequel.join(%i[maker model_name], " ").as(:title)]
      end

      def signs
        { stopped: Models::Stop.standing, asked: Models::Question.unanswered,
          opened: Models::OpenedStep.standing }.map do |name, rows|
          rows.where(job_id: Sequel[:jobs][:id]).select(1).exists.as(name)
        end
      end

      def to_do_by_job
        @to_do_by_job ||= Models::WorkItem.where(job_id: jobs.map { |job| job[:id] }, state: "to_do")
          .naked.all.group_by { |item| item[:job_id] }
      end

      LIES = Sequel.function(:coalesce, :label, :elsewhere)
      private_constant :LIES

      def on_rack
        @on_rack ||= Models::RackStay.where(off_at: nil).join(:work_items, id: :work_item_id)
          .left_join(:rack_slots, id: Sequel[:rack_stays][:rack_slot_id])
          .join(:jobs, id: Sequel[:work_items][:job_id]).naked
          .select(Sequel[:work_items][:job_id], :position, LIES.as(:label), :number,
            :sheet_version_id,
            :washed_at, :dry_at, :ready_at, :turned_at, :too_damp).all
      end
    end
  end
end
