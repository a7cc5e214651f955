# frozen_string_literal: true

module UprightBench
  module Queries
    # The plan of the bench as a page shows it: whose work it is, what waits for what, which promises there are and how
    # sure they are. Eight queries.
    class PlanOfBench
      # A job in the plan.
      Job = Struct.new(:number, :customer, :title, :promise_at, keyword_init: true)
      # Somebody at the bench, or who was when the plan was made.
      Lane = Struct.new(:id, :name, :steps, :away, keyword_init: true)
      Away = Struct.new(:id, :person, :from, :till, :reason, keyword_init: true)
      # Something of a job dries, or is to come, until its next step; `slots` are labels of the rack, if it lies there
      # already.
      Wait = Struct.new(:job, :from, :till, :dries, :slots, keyword_init: true)
      # When a job is begun, what it waits for in between, if anything, and when it is ready.
      Course = Struct.new(:from, :wait, :till, keyword_init: true)
      # A promise that may well be broken, and what would save it.
      Danger = Struct.new(:job, :share, :by, :ways, keyword_init: true)
      Way = Struct.new(:kind, :other, :technician, :share, :by, keyword_init: true)

      # @param now [Time]
      def initialize(now:)
        @now = now
      end

      # @return [Hash{Integer=>Job}]
      def jobs
        @jobs ||= Models::Job.where(number: steps.map(&:job)).join(:customers, id: :customer_id)
          .join(:machines, id: Sequel[:jobs][:machine_id]).join(:sheets, id: Sequel[:machines][:sheet_id]).naked
          .select(*COLUMNS).to_hash(:number).transform_values { |row| Job.new(**row) }
      end

      COLUMNS = [:number, :promise_at, Sequel[:customers][:name].as(:customer),
                 Sequel.join(%i[maker model_name], " ").as(:title)].freeze
      private_constant :COLUMNS

      # @return [Array<PlannedJobs::Step>] of jobs that are still there
      def steps
        @steps ||= PlannedJobs.steps(plan).sort_by(&:from)
      end

      # @return [Array<Lane>] of everybody at the bench, and of whoever else has work there
      def lanes
        @lanes ||= begin
          mine = steps.group_by(&:person)
          people = Models::Person.where(at_bench: true, status_id: Models::Person::OPEN).or(id: mine.keys)
          people.order(:id).select_map(%i[id name]).map do |id, name|
            Lane.new(id: id, name: name, steps: mine.fetch(id, []), away: away.select { |one| one.person == id })
          end
        end
      end

      # @return [Array<Away>] who is away now, or will be, the next first
      def away
        @away ||= Models::Absence.standing.where(Sequel[:till_at] > @now).order(:from_at, :id)
          .select_map(%i[id person_id from_at till_at reason]).map do |id, person, from, till, reason|
            Away.new(id: id, person: person, from: from, till: till, reason: reason)
          end
      end

      # @return [Array<Wait>] the first to end first
      def waits
        @waits ||= steps.group_by(&:job).filter_map { |job, steps| wait(job, steps) }
          .sort_by { |wait| [wait.till, wait.job] }
      end

      # @param job [Integer] number of a job in the plan
      # @return [Course]
      def course(job)
        mine = steps.select { |step| step.job == job }
        wait = waits.find { |one| one.job == job && (one.dries || mine.size > 1) }
        Course.new(from: mine.first.from, wait: wait, till: mine.last.till)
      end

      # @return [Array(Integer, Integer)] slots of the rack, and how many are free
      def rack
        @rack ||= [Models::RackSlot.in_use.count, Models::RackSlot.free.count]
      end

      # @return [Hash{Integer=>Float}] how sure each promise is
      def shares
        @shares ||= plan.shares.to_hash.transform_keys(&:to_i)
      end

      # @return [Array<Danger>] the likeliest to break first
      def dangers
        @dangers ||= plan.dangers.map(&:to_hash).select { |danger| jobs.key?(danger["job"]) }.map do |danger|
          Danger.new(job: danger["job"], share: danger["share"], by: Time.at(danger["by"]),
            ways: danger["ways"].map { |way| way(way) })
        end
      end

      # @return [Hash{Array(Integer, Symbol)=>Models::StepWish}] number of a job and key of a step => what is wanted
      def wishes
        @wishes ||= Models::StepWish.join(:jobs, id: :job_id).select_all(:step_wishes).select_append(:number).all
          .to_h { |wish| [[wish[:number], wish.key.to_sym], wish] }
      end

      private

      def plan
        @plan ||= Models::BenchPlan.the
      end

      def way(way)
        Way.new(**way.transform_keys(&:to_sym), kind: way["kind"].to_sym, by: way["by"] && Time.at(way["by"]))
      end

      # Between two steps of a job, or until its first one where something of it dries: not that everybody is busy.
      def wait(job, steps)
        last = steps.find { |step| step.key == Services::ChainOfJob::LAST } or return
        before = steps[steps.index(last) - 1] if steps.first != last
        from = before ? before.till : @now
        return unless last.from > from && (before || stays[job])

        Wait.new(job: job, from: from, till: last.from, dries: last.dries, slots: stays.fetch(job, []))
      end

      def stays
        @stays ||= Models::RackStay.where(off_at: nil).join(:work_items, id: :work_item_id)
          .join(:jobs, id: Sequel[:work_items][:job_id])
          .left_join(:rack_slots, id: Sequel[:rack_stays][:rack_slot_id]).order(:label)
          .select(:number, Sequel.function(:coalesce, :label, :elsewhere).as(:label)).to_hash_groups(:number, :label)
      end
    end
  end
end
