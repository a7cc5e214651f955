# frozen_string_literal: true

module UprightBench
  module Services
    # What is still to be done for the jobs on which somebody can work: those that are to be looked over, and those
    # whose customer agreed, unless a stop stands. Seven queries.
    class WorkAhead
      LEARNED_DAYS = 730 # of the shop's own minutes, as far back as is looked

      # @param at [Time]
      # @param policies [Policies]
      def initialize(at:, policies:)
        @at = at
        @policies = policies
      end

      # @return [Array<Hash>] of jobs: id, number, state, promise_at, agreed_at, sheet_version_id
      def jobs
        @jobs ||= Models::Job.where(state: BenchAt::STATES).exclude(id: Models::Stop.standing.select(:job_id))
          .order(:id).naked.select(:id, :number, :state, :promise_at, :agreed_at, :sheet_version_id).all
      end

      # @return [Array<Promises::Ask>]
      def asks(job)
        sheet = Models::SheetVersion.parsed(job[:sheet_version_id])
        items.fetch(job[:id], []).map do |item|
          ask = Promises.ask(sheet, sheet.position(item[:position]), item[:action], nil, item[:minutes],
            policies: @policies)
          ask.tap { |asked| asked.lead_days = days_to_come(job, item) }
        end
      end

      # @return [Hash{String=>Hash}] key of a step => what somebody wants of it
      def wishes(job)
        @wishes ||= Models::StepWish.where(job_id: ids).naked.all.group_by { |wish| wish[:job_id] }
        @wishes.fetch(job[:id], []).to_h { |wish| [wish[:key], wish] }
      end

      # @return [Time, nil]
      def wet_until(job)
        stays.fetch(job[:id], []).max
      end

      # @return [Integer, nil] id of whoever did something of it last, unless that is longer ago
      def running(job, since:)
        last_done.fetch(job[:id], nil)&.then { |person_id, done_at| person_id if done_at >= since }
      end

      # @return [Hash{String=>Core::Bench::Lasts}] action => how long it takes in this shop
      def lasts
        done = Models::WorkItem.exclude(took_minutes: nil).where(Sequel[:done_at] >= @at - (LEARNED_DAYS * 86_400))
        done.group(:action).naked.select(:action, *LOGARITHM).all.to_h do |row|
          [row[:action], Core::Bench::Lasts.learned(**row.slice(:count, :mean, :variance))]
        end
      end

      # Of what was taken over what the sheet says.
      LOGARITHM = [Sequel.function(:count).*.as(:count),
                   *{ mean: :avg, variance: :var_pop }.map do |name, function|
                     Sequel.function(function, Sequel.lit("ln(took_minutes / minutes)")).as(name)
                   end].freeze
      private_constant :LOGARITHM

      private

      def ids
        jobs.map { |job| job[:id] }
      end

      def items
        @items ||= Models::WorkItem.where(job_id: ids, state: "to_do")
          .left_join(Models::Part.with_shelf.as(:parts), id: Sequel[:work_items][:part_id]).order(:sequence).naked
          .select(:job_id, :position, :action, :minutes, :part_id, :own_spare, :shelf_pieces, DAYS.as(:days)).all
          .group_by { |item| item[:job_id] }
      end

      DAYS = Sequel.function(:coalesce, Sequel[:parts][:learned_lead_days], Sequel[:parts][:lead_days],
        Sequel[:parts][:supplier_days])
      private_constant :DAYS

      # Counted from when it was ordered, or, where no order is on file, from when the customer agreed; what should have
      # come by now comes tomorrow.
      def days_to_come(job, item)
        return 0 if item[:action] != "replace" || item[:part_id].nil? || item[:own_spare] || there?(job, item)

        since = ordered[item[:part_id]] || job[:agreed_at] || @at
        [(item[:days] || Promises::DAYS_UNKNOWN) - ((@at - since) / 86_400), 1].max
      end

      # @return [Hash{Integer=>Time}] part => when the oldest order was sent of which pieces are still to come
      def ordered
        @ordered ||= Models::OrderLine.join(:supplier_orders, id: :order_id, closed_at: nil)
          .where(part_id: claims.keys).where(Sequel[:pieces] > CAME).group(:part_id)
          .select(:part_id, Sequel.function(:min, :ordered_at).as(:ordered_at)).as_hash(:part_id, :ordered_at)
      end

      CAME = Sequel.function(:coalesce, Models::StockMove.where(order_line_id: Sequel[:order_lines][:id])
        .select(Sequel.function(:sum, Sequel[:stock_moves][:pieces])), 0)
      private_constant :CAME

      # Whoever agreed first takes what lies on the shelf.
      def there?(job, item)
        claims.fetch(item[:part_id]).index(job[:id]) < item[:shelf_pieces]
      end

      # @return [Hash{Integer=>Array<Integer>}] part => jobs, who agreed first before the others
      def claims
        @claims ||= begin
          wanted = as_agreed.flat_map { |id| items.fetch(id, []).map { |item| [item[:part_id], id] } }.uniq
          wanted.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        end
      end

      # @return [Array<Integer>] ids of jobs
      def as_agreed
        jobs.sort_by { |job| [job[:agreed_at] || @at, job[:number]] }.map { |job| job[:id] }
      end

      def stays
        @stays ||= Models::RackStay.where(off_at: nil).join(:work_items, id: :work_item_id)
          .where(job_id: ids, rotates: false).select_hash_groups(:job_id, :ready_at)
      end

      def last_done
        @last_done ||= Models::WorkItem.where(job_id: ids, state: "done").distinct(:job_id)
          .order(:job_id, Sequel.desc(:done_at)).naked.select_map(%i[job_id done_by done_at])
          .to_h { |id, by, at| [id, [by, at]] }
      end
    end
  end
end
