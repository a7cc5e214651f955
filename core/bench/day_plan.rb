# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # List scheduling of what stands on the bench: whenever a pair of hands is free, it takes up the first piece of
      # work in JobAhead#order that can be done then. A job with a wait takes hands twice, before and after it; while
      # it waits, the hands do something else. Shows lateness before it happens; it moves no promise.
      class DayPlan
        # Hands-on work of a job that can be taken up from a time on; `last` is what follows its wait.
        Piece = Struct.new(:job, :minutes, :from, :last)
        private_constant :Piece

        # @param jobs [Array<JobAhead>]
        # @param hours [#after, #open_from] open hours, as in Work::Promise
        # @param now [Time]
        # @param hands [Integer] technicians at work
        def initialize(jobs:, hours:, now:, hands:)
          @jobs = jobs.sort_by(&:order)
          @hours = hours
          @free = Array.new([hands, 1].max) { hours.open_from(now) }
        end

        # @return [Array<Row>] in JobAhead#order
        def call
          @stretches = @jobs.to_h { |job| [job, []] }
          @ahead = []
          @jobs.reject(&:hold).each { |job| before(job) }
          take_up until @ahead.empty?
          @jobs.map { |job| row(job, @stretches.fetch(job)) }
        end

        private

        def before(job)
          return after(job, @free.min) if job.before_minutes.zero?

          @ahead << Piece.new(job, job.before_minutes, @free.min, false)
        end

        def after(job, done_at)
          wait = wait(job, done_at)
          @stretches.fetch(job) << wait if wait
          @ahead << Piece.new(job, job.after_minutes, wait ? wait.to : done_at, true) if job.after_minutes.positive?
        end

        def wait(job, from)
          till = job.wait_until || (job.wait_hours.positive? ? from + (job.wait_hours * 3600) : nil)
          return if till.nil? || till <= from

          Row::Stretch.new(kind: :wait, from: from, to: @hours.open_from(till))
        end

        def take_up
          hand = @free.each_index.min_by { |index| @free[index] }
          piece = @ahead.delete(next_piece(@free[hand]))
          done = stretch(piece, [@free[hand], piece.from].max)
          @free[hand] = done.to
          @stretches.fetch(piece.job) << done
          after(piece.job, done.to) unless piece.last
        end

        def stretch(piece, from)
          opens = @hours.open_from(from)
          Row::Stretch.new(kind: :hands_on, from: opens, to: @hours.after(opens, piece.minutes))
        end

        # With nothing that can be done yet, what can be done first.
        def next_piece(time)
          soonest = [time, @ahead.map(&:from).min].max
          @ahead.select { |piece| piece.from <= soonest }.min_by { |piece| piece.job.order }
        end

        def row(job, stretches)
          Row.new(number: job.number, stretches: stretches, ready_at: stretches.last&.to, promise_at: job.promise_at)
        end
      end
    end
  end
end
