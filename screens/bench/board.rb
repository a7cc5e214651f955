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
          @lines ||= plan.map { |row| Line.new(by_number.fetch(row.number), row, @now) }
        end

        # @return [Hash{Symbol=>Array<Line>}] what they wait for => the jobs, in the order of the plan; without those
        #   of none
        def groups
          lines.group_by(&:waits_for).sort_by { |waits_for, _| Core::Bench::WaitsFor::ALL.index(waits_for) }.to_h
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

        # What is begun first stands first; what nobody can work on now stands last.
        def plan
          planned = Queries::PlannedJobs.now
          rows = @jobs.rows.map { |job| row(job, planned.fetch(job.number, [])) }
          rows.sort_by { |row| [row.stretches.empty? ? 1 : 0, begins(row), row.number] }
        end

        def begins(row)
          (row.stretches.first&.from || row.promise_at).to_i
        end

        def row(job, steps)
          Core::Bench::Row.new(number: job.number, promise_at: job.promise_at, ready_at: steps.map(&:till).max,
            stretches: steps.flat_map.with_index { |step, place| [wait(steps, place), hands_on(step)].compact })
        end

        def hands_on(step)
          Core::Bench::Row::Stretch.new(kind: :hands_on, from: step.from, to: step.till)
        end

        # What dries, or a part that is to come; not that everybody is at something else.
        def wait(steps, place)
          step = steps[place]
          return unless step.key == Services::ChainOfJob::LAST

          from = place.zero? ? @now : steps[place - 1].till
          Core::Bench::Row::Stretch.new(kind: :wait, from: from, to: step.from) if step.from > from
        end
      end
    end
  end
end
