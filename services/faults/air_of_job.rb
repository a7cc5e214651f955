# frozen_string_literal: true

module UprightBench
  module Services
    # What gauges showed at a job's machine, beside what it is when all is in order.
    class AirOfJob
      EXPLAINED = Remembered.new(200)
      private_constant :EXPLAINED

      # @param job [Models::Job]
      def initialize(job)
        @job = job
      end

      # @return [Array<Models::SuctionReading>] in their order
      def readings
        @readings ||= Models::SuctionReading.where(job_id: @job.id).order(:id).all
      end

      # @return [Core::Suction::Expected]
      def expected
        @expected ||= Core::Suction::Expected.new(@job.sheet, own: Queries::LastGoodAir.call(@job))
      end

      # @return [Core::Suction::Machine] in order
      def machine
        @machine ||= expected.call
      end

      # @return [Time, nil] when the last work of this job was done
      def worked_at
        return @worked_at if defined?(@worked_at)

        @worked_at = Models::WorkItem.where(job_id: @job.id).max(:done_at)
      end

      # @return [Array<Core::Suction::Gain>] of what was read after the work
      def gains
        return [] if readings.empty?

        Core::Suction::Gain.of(readings.map { |reading| [reading.to_core, after_work?(reading)] }, machine)
      end

      # @return [Boolean] whether anything was read after the work
      def since_work?
        readings.any? { |reading| after_work?(reading) }
      end

      # @return [Float] minutes that its readings took
      def minutes
        readings.sum do |reading|
          Core::Suction::Expected.minutes_at(@job.sheet, reading.point, exhaust_off: reading.exhaust_off)
        end
      end

      # @param least_percent [Numeric] of what it is in order
      # @return [Array<Core::Suction::Gain>] below it after the work; none where nobody knows what this model does
      def weak(least_percent)
        gains.select { |gain| gain.restored * 100 < least_percent && expected.known_by != :usual }
      end

      # @param weights [Hash, nil] as Core::Suction::Locate takes them
      # @return [Core::Suction::Locate, nil] what the readings say; nil without any
      def located(weights: nil)
        return if readings.empty?

        known = as_it_is.map(&:to_core)
        Core::Suction::Locate.new(machine, known, spread_percent: expected.spread_percent, weights: weights,
          explained: explained(known))
      end

      private

      def explained(known)
        readings = known.map { |reading| [*reading.where, reading.value, reading.error_percent] }
        EXPLAINED.fetch([@job.sheet_version_id, expected.own, readings]) do
          Core::Suction::Explain.new(machine, known, spread_percent: expected.spread_percent).call
        end
      end

      def after_work?(reading)
        !worked_at.nil? && reading.taken_at > worked_at
      end

      # What was read before the last work on the machine says nothing of how it is now, once something was read since.
      def as_it_is
        since = readings.select { |reading| worked_at.nil? || after_work?(reading) }
        (since.any? ? since : readings).to_h { |row| [row.to_core.where, row] }.values
      end
    end
  end
end
