# frozen_string_literal: true

module UprightBench
  module Screens
    module Bench
      # Everything in the shop, read in four queries and laid along the day by the core.
      class Board
        LOOK_OVER_MINUTES = 20 # a machine not looked over yet (house rule)
        STANDING = %w[closed_up declined referred].freeze

        # A job with its row on the ruler; `stop` and `dry` are what changes its next action.
        Line = Struct.new(:job, :row, :stop, :dry, keyword_init: true)

        def initialize(now:, policies:)
          @now = now
          @policies = policies
        end

        # @return [Array<Line>] those that take hands first, in working order, then those that stand ready
        def lines
          @lines ||= plan.map { |row| line(row) }.sort_by.with_index { |line, place| [STANDING.include?(line.job[:state]) ? 1 : 0, place] }
        end

        # @return [Array<Hash>] wet parts, the nearest to dry first
        def drying
          stays.sort_by { |stay| stay[:dry_at] }
        end

        # @return [Date] today, or the next day the shop opens
        def day
          @day ||= begin
            today = Config::Zone.date(@now)
            over = @policies.schedule.stretches(today).none? { |_, ends| ends > @now }
            @policies.schedule.open_day(over ? today + 1 : today)
          end
        end

        def ruler
          @ruler ||= Drawings::BenchRuler.new(open: @policies.schedule.stretches(day), now: @now, zone: ->(time) { Config::Zone.local(time) })
        end

        private

        def plan
          Core::Bench::DayPlan.new(jobs: jobs.map { |job| ahead(job) }, hours: @policies.schedule, now: @now, hands: hands).call
        end

        def line(row)
          job = jobs.find { |one| one[:number] == row.number }
          Line.new(job: job, row: row, stop: job[:stopped], dry: dry.include?(row.number))
        end

        def jobs
          @jobs ||= Models::Job.in_shop.join(:customers, id: :customer_id).join(:machines, id: Sequel[:jobs][:machine_id])
                               .join(:sheets, id: Sequel[:machines][:sheet_id]).order(Sequel[:jobs][:id]).naked
                               .select(Sequel[:jobs][:id], :number, Sequel[:jobs][:state], :complaint, :promise_at, :sheet_version_id,
                                       Sequel[:customers][:name].as(:customer), Sequel.join(%i[maker model_name], " ").as(:title), *signs).all
        end

        # What changes the next action.
        def signs
          { stopped: Models::Stop.standing, asked: Models::Question.unanswered }.map { |name, rows| rows.where(job_id: Sequel[:jobs][:id]).select(1).exists.as(name) }
        end

        def items
          @items ||= Models::WorkItem.where(job_id: jobs.map { |job| job[:id] }, state: "to_do").naked.all.group_by { |item| item[:job_id] }
        end

        def stays
          @stays ||= Models::RackStay.where(off_at: nil).join(:work_items, id: :work_item_id).join(:rack_places, id: Sequel[:rack_stays][:rack_place_id])
                                     .join(:jobs, id: Sequel[:work_items][:job_id]).naked
                                     .select(Sequel[:work_items][:job_id], :position, :label, :number, :sheet_version_id, :washed_at, :dry_at, :ready_at).all
        end

        # Jobs of which a part can come off the rack.
        def dry
          @dry ||= stays.select { |stay| stay[:dry_at] <= @now }.map { |stay| stay[:number] }
        end

        def hands
          Models::Person.where(role: "technician", status_id: 2).count
        end

        def ahead(job)
          to_do = items.fetch(job[:id], [])
          wet = stays.select { |stay| stay[:job_id] == job[:id] }
          Core::Bench::JobAhead.new(number: job[:number], before_minutes: minutes(job, to_do), wait_hours: wait_hours(job, to_do),
                                    wait_until: wet.map { |stay| stay[:ready_at] }.max, after_minutes: after_minutes(job), promise_at: job[:promise_at],
                                    hold: job[:state] == "looked_over" || STANDING.include?(job[:state]) || job[:stopped])
        end

        def minutes(job, to_do)
          job[:state] == "taken_in" ? LOOK_OVER_MINUTES : to_do.sum { |item| item[:minutes] }
        end

        def wait_hours(job, to_do)
          sheet = Models::SheetVersion.parsed(job[:sheet_version_id])
          to_do.select { |item| item[:action] == "wash" }.map { |item| sheet.position(item[:position]).drying_floor_hours }.max || 0
        end

        def after_minutes(job)
          %w[settled in_work waiting].include?(job[:state]) ? Core::Work::Promise::REFIT_MINUTES : 0
        end
      end
    end
  end
end
