# frozen_string_literal: true

module UprightBench
  module Screens
    module Plan
      # The plan as its page shows it: today, or the next open day, and the open day after it.
      class Board
        DAYS = 2
        STEPS = { look_over: "look over", work: "work", refit: "refit and test", test: "final test" }.freeze

        attr_reader :plan

        # @param plan [Queries::PlanOfBench]
        # @param chosen [Array(Integer, Symbol), nil] job and key of a step
        def initialize(plan, now:, policies:, chosen: nil)
          @plan = plan
          @now = now
          @policies = policies
          @chosen = chosen
        end

        # @param height [Integer] that it fills at least, where a wide screen has room
        # @return [String] SVG
        def drawing(height: 0)
          Drawings::Lanes.new(drawn, scale: scale, now: @now, zone: ->(time) { Config::Zone.local(time) },
            words: method(:words), path: ->(step) { "/plan/#{step.job}/#{step.key}" }, least_height: height).render
        end

        # @return [PlannedJobs::Step, nil]
        def chosen_step
          plan.steps.find { |step| [step.job, step.key] == @chosen }
        end

        # @return [Models::StepWish, nil]
        def chosen_wish
          plan.wishes[@chosen]
        end

        # @return [Array<Date>]
        def days
          @days ||= begin
            today = Config::Zone.date(@now)
            over = schedule.stretches(today).none? { |_, ends| ends > @now }
            first = schedule.open_day(over ? today + 1 : today)
            (1...DAYS).inject([first]) { |days, _| [*days, schedule.open_day(days.last + 1)] }
          end
        end

        # @return [Time] when the next open day after the first begins
        def next_day
          schedule.stretches(days.last).first.first
        end

        # @return [String] who does it
        def name(id)
          plan.lanes.find { |lane| lane.id == id }&.name || "somebody"
        end

        def step_words(key)
          STEPS.fetch(key)
        end

        # @return [Array<PlannedJobs::Step>] of the days in sight, for a list
        def listed(lane)
          lane.steps.select { |step| step.from < last }
        end

        # @return [Integer] steps that are planned for later days
        def later(lane)
          lane.steps.size - listed(lane).size
        end

        private

        def schedule
          @policies.schedule
        end

        def last
          schedule.stretches(days.last).last.last
        end

        def scale
          @scale ||= Drawings::DayScale.new(days.map { |date| schedule.stretches(date) }, from: Drawings::Lanes::LEFT,
            to: Drawings::Lanes::WIDTH)
        end

        Flag = Struct.new(:job, :at, :danger)
        Wait = Struct.new(:job, :from, :till, :words)
        private_constant :Flag, :Wait

        def drawn
          Drawings::Lanes::Drawn.new(lanes: plan.lanes, waits: waits, promises: promises, chosen: @chosen,
            customers: plan.jobs.transform_values(&:customer),
            pinned: plan.wishes.select { |_, wish| wish.pinned }.keys)
        end

        def promises
          in_danger = plan.dangers.map(&:job)
          promised = plan.jobs.values.select { |job| job.promise_at && job.promise_at <= last }
          promised.map { |job| Flag.new(job.number, job.promise_at, in_danger.include?(job.number)) }
        end

        def waits
          plan.waits.map do |wait|
            Wait.new(wait.job, wait.from, wait.till, "#{wait.job} #{wait_words(wait)}")
          end
        end

        def wait_words(wait)
          return wait.dries ? "dries" : "waits for a part" if wait.slots.empty?

          elsewhere, slots = wait.slots.partition { |label| label.match?(/\D/) }
          ["dries", ("rack #{slots.join(', ')}" if slots.any?), *elsewhere].compact.join(", ")
        end

        def words(step)
          times = [step.from, step.till].map { |time| Core::Units::Moment.of_week(Config::Zone.local(time)) }
          "#{step.job} #{plan.jobs[step.job]&.customer}, #{step_words(step.key)}, #{times.join(' to ')}, " \
            "#{name(step.person)}"
        end
      end
    end
  end
end
