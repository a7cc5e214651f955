# frozen_string_literal: true

module UprightBench
  module Services
    # Where a job's search for a fault stands: what was checked, what the look-over saw, and what the shop has learned.
    class LadderOfJob
      # @param search [Models::FaultSearch]
      # @param job [Models::Job]
      # @return [Core::Faults::Ladder]
      def self.of(search, job)
        new(search, job, Models::Finding.where(job_id: job.id).as_hash(:position), located(job)).call
      end

      # @param located [Core::Suction::Locate, nil] what the gauge's readings say
      def initialize(search, job, findings, located)
        @search = search
        @job = job
        @findings = findings
        @located = located
      end

      def call
        results = known_results
        Core::Faults::Ladder.new(plan, results, mended: @search.mended.to_a, named: @search.results.filter_map(&:cause),
          looked: unchecked(results).select { |check| fine?(check.place) }.map(&:key),
          noticed: unchecked(results).flat_map { |check| noticed(check) }, read: read)
      end

      # @param readings [Array<Models::SuctionReading>] of the job, in their order
      # @return [Core::Suction::Locate, nil] what the gauge's readings say; nil without any
      def self.located(job, readings: Models::SuctionReading.where(job_id: job.id).order(:id).all)
        return if readings.empty?

        expected = Core::Suction::Expected
        Core::Suction::Locate.new(expected.of(job.sheet), as_it_is(job, readings).map(&:to_core),
          spread_percent: expected.spread_percent(job.sheet))
      end

      # What was read before the last work on the machine says nothing of how it is now, once something was read since.
      def self.as_it_is(job, readings)
        worked_at = Models::WorkItem.where(job_id: job.id).max(:done_at)
        since = readings.select { |reading| worked_at.nil? || reading.taken_at > worked_at }
        (since.any? ? since : readings).to_h { |row| [[row.point, row.kind, row.plate_mm], row] }.values
      end
      private_class_method :as_it_is

      private

      # @return [Hash{String,nil=>Float}]
      def read
        @located ? Core::Suction::BehindFaults.new(@job.sheet, @located).call(plan.causes) : {}
      end

      def plan
        @plan ||= Core::Faults::PlanSearch.new(@job.sheet, @search.complaint.to_sym,
          learned: Queries::CausesCounted.call(@job.sheet, @search.complaint)).call
      end

      # @return [Array<Core::Faults::Check>] places that nobody checked in this search
      def unchecked(results)
        answered = results.map(&:first)
        plan.checks.reject { |check| check.splits || answered.include?(check.key) }
      end

      # A sheet that was changed since may have lost a place.
      def known_results
        known = plan.checks.map(&:key)
        @search.results.select { |row| known.include?(row.check_key) }.map { |row| [row.check_key, row.result.to_sym] }
      end

      def fine?(place)
        @findings[place]&.verdict == "leave"
      end

      # @return [Array<String>] causes at the check's place that a finding says
      def noticed(check)
        finding = @findings[check.place]
        return [] if finding.nil? || finding.verdict == "leave"

        check.shows.keys.select { |key| says?(finding.seen, plan.cause_of(key).fault.observed) }
      end

      # A number is a sign by its verdict, a word by itself.
      def says?(seen, observed)
        observed.any? && observed.all? do |name, value|
          seen[name] == value || (value.is_a?(Numeric) && seen.key?(name))
        end
      end
    end
  end
end
