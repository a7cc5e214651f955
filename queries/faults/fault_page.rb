# frozen_string_literal: true

module UprightBench
  module Queries
    # A job's search for a fault, as its page shows it.
    class FaultPage
      include JobFindings

      # A check that was done: its result, and what was seen.
      Done = Struct.new(:check, :result, :cause, keyword_init: true)

      attr_reader :job

      # @param job [Models::Job]
      # @param policies [Services::Policies]
      def initialize(job, policies:)
        @job = job
        @policies = policies
      end

      # @return [Models::FaultSearch, nil] the one that is open, else the last one
      def search
        @search ||= Models::FaultSearch.where(job_id: job.id).reverse(:id).eager(:answers).first
      end

      def open?
        !search.nil? && search.ended_at.nil?
      end

      # @return [Core::Faults::Ladder]
      def ladder
        ladder_of_job.call
      end

      # @return [Core::Faults::Ladder::Step, nil]
      def next_step
        @next_step ||= ladder.next_step
      end

      # @return [Array<Done>] in their order; without what the sheet has no longer
      def trail
        search.results.filter_map do |row|
          check = ladder.search.checks.find { |one| one.key == row.check_key }
          Done.new(check: check, result: row.result.to_sym, cause: cause(row.cause)) if check
        end
      end

      # @param key [String, nil]
      # @return [Core::Faults::Cause, nil]
      def cause(key)
        ladder.search.causes.find { |one| one.key == key }
      end

      # @return [Services::AirOfJob]
      def air
        @air ||= Services::AirOfJob.new(job)
      end

      # @return [Hash{String=>Array(Float, Float)}] by point, the most air power of a series of plates, and its flow
      def air_power
        air.readings.map(&:to_core).group_by(&:point).transform_values { |taken| Core::Suction::Orifice.most_power_of(taken) }
          .compact
      end

      # @return [Float] minutes that checks and readings took
      def spent
        ladder.spent + air.minutes
      end

      # @return [Core::Suction::Locate, nil] nil without a reading
      def located
        ladder_of_job.located
      end

      # @return [Models::Stop, nil] what keeps the machine shut
      def stop
        @stop ||= job.standing_stops.first
      end

      # @return [Core::Faults::Cause, nil] what was shown last, and has not been mended
      def found
        shown = ladder.found or return
        seen = search.results.filter_map(&:cause)
        shown.find { |cause| seen.include?(cause.key) } || shown.first
      end

      # @return [Hash{String=>Array<Core::Faults::Cause>}] place => what to look for there, behind what was found;
      #   nothing of what was looked at already
      def origins
        @origins ||= Core::Faults::Origins.new(job.sheet).of(found).reject { |cause| findings.key?(cause.place) }
          .group_by(&:place)
      end

      # @return [Numeric, nil] minutes of looking that the customer agreed to; nil where nothing was agreed
      def agreed_minutes
        return unless job.look_fee_cents.positive? && @policies.money.rate_cents_an_hour.positive?

        job.look_fee_cents * 60.0 / @policies.money.rate_cents_an_hour
      end

      private

      def ladder_of_job
        @ladder_of_job ||= Services::LadderOfJob.new(search, job, findings, air)
      end
    end
  end
end
