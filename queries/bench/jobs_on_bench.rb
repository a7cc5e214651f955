# frozen_string_literal: true

module UprightBench
  module Queries
    # Every job whose machine is in the shop, with what it still needs; and what lies on the rack. Two queries.
    class JobsOnBench
      # `work_minutes` are hands-on, `wet_until` when the last of what dries already may be taken up again (nil for
      # none); `dry` says that something can come off the rack, `opened` that its parts lie on a tray.
      Row = Struct.new(:number, :state, :complaint, :promise_at, :customer, :title, :stopped, :asked, :opened,
        :work_minutes, :wet_until, :dry, keyword_init: true)
      # A part on the rack.
      Stay = Struct.new(:slot, :number, :part, :to_turn, :washed_at, :dry_at, :ready_at, keyword_init: true)

      def self.columns
        [Sequel[:jobs][:id], :number, Sequel[:jobs][:state], :complaint, :promise_at, :sheet_version_id,
         Sequel[:customers][:name].as(:customer), Sequel.join(%i[maker model_name], " ").as(:title),
         to_do.as(:work_minutes)]
      end

      def self.to_do
        minutes = Models::WorkItem.where(job_id: Sequel[:jobs][:id], state: "to_do").select { sum(:minutes) }
        Sequel.function(:coalesce, minutes, 0)
      end

      def self.signs
        { stopped: Models::Stop.standing, asked: Models::Question.unanswered,
          opened: Models::OpenedStep.standing }.map do |name, rows|
          rows.where(job_id: Sequel[:jobs][:id]).select(1).exists.as(name)
        end
      end
      private_class_method :columns, :to_do, :signs

      JOBS = Models::Prepared.new(:jobs_on_bench) do
        Models::Job.in_shop.join(:customers, id: :customer_id).join(:machines, id: Sequel[:jobs][:machine_id])
          .join(:sheets, id: Sequel[:machines][:sheet_id]).order(Sequel[:jobs][:id]).naked.select(*columns, *signs)
      end
      LIES = Sequel.function(:coalesce, :label, :elsewhere)
      RACK = Models::Prepared.new(:rack_of_the_shop) do
        Models::RackStay.where(off_at: nil).join(:work_items, id: :work_item_id)
          .left_join(:rack_slots, id: Sequel[:rack_stays][:rack_slot_id])
          .join(:jobs, id: Sequel[:work_items][:job_id]).naked
          .select(Sequel[:work_items][:job_id], :position, LIES.as(:label), :number, :sheet_version_id, :washed_at,
            :dry_at, :ready_at, :turned_at, :too_damp)
      end
      private_constant :JOBS, :LIES, :RACK

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
        Row.new(**job.slice(*Row.members), **rack(job))
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
        @jobs ||= JOBS.all
      end

      def on_rack
        @on_rack ||= RACK.all
      end
    end
  end
end
