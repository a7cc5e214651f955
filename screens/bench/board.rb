# frozen_string_literal: true

module UprightBench
  module Screens
    module Bench
      # The jobs as the bench draws them: in the order of the plan, what waits to be collected last, each on the ruler
      # of the day.
      class Board
        HEADINGS = { hands: "Work now", drying: "Drying", customer: "Waiting for the customer", stop: "Stopped",
                     collection: "To collect" }.freeze
        MOST_OPEN = 9 # rows that fit; with more, all but the work now is folded

        # @param jobs [Queries::JobsOnBench]
        # @param now [Time]
        # @param policies [Services::Policies]
        def initialize(jobs:, now:, policies:)
          @jobs = jobs
          @now = now
          @policies = policies
        end

        # @return [Array<Line>]
        def lines
          @lines ||= plan.map { |row| Line.new(by_number.fetch(row.number), row) }
        end

        # @return [Hash{Symbol=>Array<Line>}] what they wait for => the jobs, in the order of the plan; without those
        #   of none
        def groups
          lines.group_by(&:waits_for).sort_by { |waits_for, _| Core::Bench::JobAhead::WAITS_FOR.index(waits_for) }.to_h
        end

        # @return [Boolean] whether a group is open when the page comes
        def open?(waits_for)
          waits_for == :hands || lines.size <= MOST_OPEN
        end

        # @return [Array<Queries::JobsOnBench::Stay>]
        def drying
          @jobs.stays
        end

        # @return [Date] today while the shop is open or will be, else the next open day
        def day
          @day ||= begin
            today = Config::Zone.date(@now)
            over = @policies.schedule.stretches(today).none? { |_, ends| ends > @now }
            @policies.schedule.open_day(over ? today + 1 : today)
          end
        end

        def ruler
          @ruler ||= Drawings::BenchRuler.new(open: @policies.schedule.stretches(day), now: @now,
            zone: ->(time) { Config::Zone.local(time) })
        end

        private

        def by_number
          @by_number ||= @jobs.rows.to_h { |job| [job.number, job] }
        end

        def plan
          Core::Bench::DayPlan.new(jobs: @jobs.rows.map { |job| ahead(job) }, hours: @policies.schedule, now: @now,
            hands: @jobs.hands).call
        end

        def ahead(job)
          Core::Bench::JobAhead.from(state: job.state, work_minutes: job.work_minutes, stopped: job.stopped,
            number: job.number,
            wait_hours: job.wash_hours, wait_until: job.wet_until, promise_at: job.promise_at)
        end
      end
    end
  end
end
