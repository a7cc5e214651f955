# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # List scheduling of what stands on the bench: each job in JobAhead#order takes the pair of hands that is
      # free first. A job with a wait takes hands twice, before and after it. Shows lateness before it happens;
      # it moves no promise.
      class DayPlan
        # @param jobs [Array<JobAhead>]
        # @param hours [#after, #open_from] open hours, as in Work::Promise
        # @param now [Time]
        # @param hands [Integer] technicians at work
        def initialize(jobs:, hours:, now:, hands:)
          @jobs = jobs
          @hours = hours
          @free = Array.new([hands, 1].max) { hours.open_from(now) }
        end

        # @return [Array<Row>] in the order the work is taken up
        def call
          first = @jobs.sort_by(&:order).to_h { |job| [job, before(job)] }
          first.map { |job, stretches| row(job, stretches + after(job, stretches)) }
        end

        private

        def before(job)
          return [] if job.hold || job.before_minutes.zero?

          [take(job.before_minutes, @free.min)]
        end

        def after(job, done)
          return [] if job.hold

          wet_from = done.last&.to || @free.min
          wait = wait(job, wet_from)
          return [wait].compact if job.after_minutes.zero?

          [wait, take(job.after_minutes, wait ? wait.to : wet_from)].compact
        end

        def wait(job, from)
          till = job.wait_until || (job.wait_hours.positive? ? from + (job.wait_hours * 3600) : nil)
          return if till.nil? || till <= from

          Row::Stretch.new(kind: :wait, from: from, to: @hours.open_from(till))
        end

        # The hands that are free first, not before `earliest`.
        def take(minutes, earliest)
          hand = @free.each_index.min_by { |index| @free[index] }
          from = @hours.open_from([@free[hand], earliest].max)
          @free[hand] = @hours.after(from, minutes)
          Row::Stretch.new(kind: :hands_on, from: from, to: @free[hand])
        end

        def row(job, stretches)
          Row.new(number: job.number, stretches: stretches, ready_at: stretches.last&.to, promise_at: job.promise_at)
        end
      end
    end
  end
end
