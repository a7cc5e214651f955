# frozen_string_literal: true

module UprightBench
  module Services
    # Where a job's search for a fault stands: what was checked, what the look-over saw, and what the shop has learned.
    class LadderOfJob
      ORDERS = Remembered.new(500)
      private_constant :ORDERS

      # @param search [Models::FaultSearch]
      # @param job [Models::Job]
      # @return [Core::Faults::Ladder]
      def self.of(search, job)
        new(search, job, Models::Finding.where(job_id: job.id).as_hash(:position)).call
      end

      # @param findings [Hash{String=>Models::Finding}] of the job, by place
      # @param air [AirOfJob]
      def initialize(search, job, findings, air = AirOfJob.new(job))
        @search = search
        @job = job
        @findings = findings
        @air = air
      end

      # @return [Core::Faults::Ladder]
      def call
        @call ||= ladder(read)
      end

      # @return [Core::Suction::Locate, nil] what the gauge's readings say, with what else is known; nil without any
      def located
        return @located if defined?(@located)

        @located = @air.located(weights: weights)
      end

      private

      # What the search believes is of the machine as it came: nothing of it holds for what was read after the work.
      def weights
        return if @air.readings.empty? || @air.since_work?

        Core::Suction::AirOfFault.new(@job.sheet).weights(plan.causes, ladder({}).belief.to_h)
      end

      def ladder(read)
        results = known(@search.results).map { |row| [row.check_key, row.result.to_sym] }
        Core::Faults::Ladder.new(plan, results, mended: @search.mended.to_a, named: named,
          **looked_over(unchecked(results)), read: read,
          taken_back: known(@search.taken_back).map(&:check_key), orders: method(:order))
      end

      def order(belief, checks, openings)
        ORDERS.fetch([@job.sheet_version_id, @search.complaint, belief, checks.map(&:key), openings]) do
          Core::Faults::Ladder::ORDERS.call(belief, checks, openings)
        end
      end

      # @return [Hash{String=>String}] check => cause
      def named
        @search.results.select(&:cause).to_h { |row| [row.check_key, row.cause] }
      end

      # @return [Hash{String,nil=>Float}]
      def read
        located ? Core::Suction::BehindFaults.new(@job.sheet, located).call(plan.causes) : {}
      end

      def plan
        @plan ||= Core::Faults::PlanSearch.new(@job.sheet, @search.complaint.to_sym,
          learned: Queries::CausesCounted.call(@job.sheet, @search.complaint)).call
      end

      # @return [Array<Core::Faults::Check>] places that nobody checked in this search
      def unchecked(results)
        answered = results.map(&:first)
        plan.checks.select { |check| check.key == check.place && !answered.include?(check.key) }
      end

      # A sheet that was changed since may have lost a place.
      def known(answers)
        keys = plan.checks.map(&:key)
        answers.select { |row| keys.include?(row.check_key) }
      end

      # @return [Hash] of Ladder: at which places the look-over saw nothing, and which causes it saw
      def looked_over(checks)
        { looked: checks.select { |check| fine?(check.place) }.map(&:key),
          noticed: checks.flat_map { |check| noticed(check) } }
      end

      def fine?(place)
        @findings[place]&.verdict == "leave"
      end

      # @return [Array<String>] causes at the check's place that a finding says
      def noticed(check)
        finding = @findings[check.place]
        return [] if finding.nil? || finding.verdict == "leave"

        check.shows.keys.select { |key| says?(finding, plan.cause_of(key).fault) }
      end

      # A number is a sign by its verdict, a word by itself; or the finding's reason says it.
      def says?(finding, fault)
        return true if fault.told_by.include?(finding.clause&.to_sym)

        fault.observed.any? && fault.observed.all? do |name, value|
          finding.seen[name] == value || (value.is_a?(Numeric) && finding.seen.key?(name))
        end
      end
    end
  end
end
