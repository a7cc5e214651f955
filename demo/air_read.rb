# frozen_string_literal: true

module UprightBench
  module Demo
    # What a gauge showed at some of the past jobs: low before the work, and nearly as new after it.
    class AirRead
      EACH = 4 # one job in so many
      BEFORE = 0.55..0.85
      AFTER = 0.93..1.0

      # @param job [Models::Job]
      def initialize(job, technician)
        @job = job
        @technician = technician
        @random = Random.new(job.number)
        @machine = Core::Suction::Expected.of(job.sheet)
      end

      def before(time)
        read(time, BEFORE)
      end

      def after(time)
        read(time, AFTER)
      end

      private

      def read(time, shares)
        return unless (@job.number % EACH).zero? && @job.sheet.power == :mains

        point = @machine.stages.first.key
        flow = @machine.flow(point) * @random.rand(shares)
        Services::TakeReading.call(@job.number, point: point, kind: "flow", text: flow.round(1).to_s,
          by: @technician, at: time)
      end
    end
  end
end
