# frozen_string_literal: true

module UprightBench
  module Services
    # The bench at a moment, as the core plans it: who works when, what is still to be done for every job on which
    # somebody can work, and the plan that stands. The core counts whole minutes from that moment on.
    class BenchAt
      HORIZON_DAYS = 400
      SLOT = 1 # size of every slot, and of every part
      RUNNING_SECONDS = 3600 # whoever did something of a job within that time goes on with it (house rule)

      STATES = Core::Jobs::States.names(:agreed) + Core::Jobs::States.names(:to_look_over)

      # @param at [Time]
      # @param policies [Policies]
      def initialize(at:, policies: Policies.now)
        @zero = Time.at(at.to_i - (at.to_i % 60))
        @at = at
        @policies = policies
      end

      # @return [Integer] whole minutes from the beginning of the plan
      def minutes(time)
        ((time - @zero) / 60).ceil
      end

      # @return [Time]
      def time(minutes)
        @zero + (minutes * 60)
      end

      # @return [Core::Bench::Shop]
      def shop
        @shop ||= Core::Bench::Shop.new(technicians: technicians, open: open, slots: slots)
      end

      # @param except [Integer, nil] number of a job that is left out
      # @return [Array<Core::Bench::Chain>]
      def chains(except: nil)
        work.jobs.reject { |job| job[:number] == except }.map { |job| chain_of(job) }
      end

      # @param asks [Array<Promises::Ask>] what is to be done
      # @param wet_until [Time, nil] until when something of it dries already
      # @return [Core::Bench::Chain] of a job that nothing is promised for
      def chain(number, asks, wet_until: nil)
        wet_minutes = wet_until ? minutes(wet_until) : 0
        ChainOfJob.new(asks, lasts: lasts, wet_minutes: wet_minutes, most_slots: slots&.size || 0).call(number)
      end

      # @return [Core::Bench::Kept]
      def kept
        @kept ||= begin
          steps = Models::BenchPlan.the.steps.map { |step| step.to_hash.transform_keys(&:to_sym) }
          rows = steps.map { |step| [step[:job], step[:key].to_sym, nil] } # whoever is free takes up what comes next
          holds = rows.zip(steps).to_h { |(job, key, _), step| [[job, key], held_until(step)] }
          Core::Bench::Kept.new(rows: rows, holds: holds.select { |_, minute| minute.positive? })
        end
      end

      def held_until(step)
        step[:hold] ? minutes(Time.at(step[:hold])) : 0
      end
      private :held_until

      # @return [Float] of promises that are to be kept
      def share
        @policies["promises_kept_percent"] / 100.0
      end

      private

      def chain_of(job)
        return look_over(job) if Core::Jobs::States.in?(:to_look_over, job[:state])

        chain = chain(job[:number], work.asks(job), wet_until: work.wet_until(job))
        chain = chain.with(promise: [minutes(job[:promise_at]), 0].max) if job[:promise_at]
        running(chain, work.running(job, since: @at - RUNNING_SECONDS))
      end

      def look_over(job)
        operation = Core::Bench::Operation.new(key: :look_over, pieces: [Core::Bench::WaitsFor::LOOK_OVER_MINUTES],
          spread: Core::Bench::Lasts::SPREAD)
        Core::Bench::Chain.new(number: job[:number], operations: [operation])
      end

      # What somebody is at is not taken away from them.
      def running(chain, person_id)
        return chain unless technicians.any? { |technician| technician.id == person_id }

        first, *others = chain.operations
        return chain if first.not_before.positive?

        chain.with(operations: [first.with(technician: person_id, pinned: true), *others])
      end

      def work
        @work ||= WorkAhead.new(at: @at, policies: @policies)
      end

      def lasts
        @lasts ||= work.lasts
      end

      def technicians
        @technicians ||= people.map { |id| Core::Bench::Technician.new(id: id, calendar: open) }
      end

      # Where nobody is a technician, whoever owns the shop works alone.
      def people
        staff = Models::Person.may_sign_in.order(:id).select_hash_groups(:role, :id)
        staff["technician"] || [staff.fetch("owner", [0]).first]
      end

      def open
        @open ||= begin
          stretches = days.flat_map { |date| @policies.schedule.stretches(date) }
          Core::Bench::Calendar.new(joined(stretches.map { |part| part.map { |time| minutes(time) } }))
        end
      end

      # A shop may be closed for a season.
      # @return [Range<Date>]
      # @raise [Refused] when it is closed for longer than a shop ever is
      def days
        first = Config::Zone.date(@zero)
        first..(@policies.schedule.open_day(first + 1) + HORIZON_DAYS)
      end

      # What is over is left out, what goes on began now; stretches that touch are one.
      def joined(stretches)
        stretches.select { |_, till| till.positive? }.each_with_object([]) do |(from, till), all|
          all.any? && all.last.last >= from ? all.last[1] = till : all << [[from, 0].max, till]
        end
      end

      # @return [Array<Core::Bench::Slot>, nil] nil where the rack has none on file
      def slots
        return @slots if defined?(@slots)

        @slots = free_at.map do |time|
          Core::Bench::Slot.new(size: SLOT, busy_until: time ? [minutes(time), 0].max : 0)
        end
        @slots = nil if @slots.empty?
        @slots
      end

      def free_at
        Models::RackSlot.in_use.left_join(:rack_stays, rack_slot_id: Sequel[:rack_slots][:id], off_at: nil)
          .order(Sequel[:rack_slots][:id]).select_map(:ready_at)
      end
    end
  end
end
