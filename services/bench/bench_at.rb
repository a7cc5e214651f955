# frozen_string_literal: true

module UprightBench
  module Services
    # The bench at a moment, as the core plans it: who works when, what is still to be done for every job on which
    # somebody can work, and the plan that stands. The core counts whole minutes from that moment on.
    class BenchAt
      HORIZON_DAYS = 400
      QUARTER = 15 * 60 # seconds that a promise is rounded up to
      RUNNING_SECONDS = 3600 # whoever did something of a job within that time goes on with it (house rule)

      STATES = Core::Jobs::States.names(:agreed) + Core::Jobs::States.names(:to_look_over)

      # @param at [Time]
      # @param policies [Policies]
      # @param wanted [Hash{Integer=>Hash{String=>Hash, nil}}] number of a job => key of a step => what is wanted of it
      #   instead of what is; nil for nothing
      def initialize(at:, policies: Policies.now, wanted: {})
        @zero = Time.at(at.to_i - (at.to_i % 60))
        @at = at
        @policies = policies
        @wanted = wanted
      end

      # @return [Integer] whole minutes from the beginning of the plan
      def minutes(time)
        ((time - @zero) / 60).ceil
      end

      # @return [Time]
      def time(minutes)
        @zero + (minutes * 60)
      end

      # No promise ends when the shop is closed.
      # @param time [Time]
      # @return [Time] on a quarter hour, no sooner
      def rounded(time)
        over = time.to_i % QUARTER
        late = over.zero? ? time : time + (QUARTER - over)
        minute = minutes(late)
        shop.open.worked(minute) == shop.open.worked(minute - 1) ? time(shop.open.open_from(minute)) : late
      end

      # @return [Core::Bench::Shop]
      def shop
        @shop ||= Core::Bench::Shop.new(technicians: people.call, open: open, slots: slots, places: places,
          minutes_for_one_more: @policies["minutes_for_one_more"])
      end

      # @param hours [OpenHours]
      # @param days [Range<Date>]
      # @return [Array<Array(Integer, Integer)>] in minutes
      def stretches(hours, days)
        Core::Bench::Stretches.joined(days.flat_map do |date|
          hours.stretches(date).map { |part| part.map { |time| minutes(time) } }
        end)
      end

      # @param except [Integer, nil] number of a job that is left out
      # @return [Array<Core::Bench::Chain>]
      def chains(except: nil)
        work.jobs.reject { |job| job[:number] == except }.map { |job| chain_of(job) }
      end

      # @param asks [Array<Promises::Ask>] what is to be done
      # @param wet_until [Time, nil] until when something of it dries already
      # @param brought_at [Time, nil] when it comes to the shop, where it has to be looked over first
      # @return [Core::Bench::Chain] of a job that nothing is promised for
      def chain(number, asks, wet_until: nil, brought_at: nil)
        of_job = ChainOfJob.new(asks, lasts: lasts, shop: shop, tested_by_another: tested_by_another?,
          wet_minutes: wet_until ? minutes(wet_until) : 0, brought_minutes: brought_at && minutes(brought_at))
        of_job.call(number).then { |chain| chain.with(share: share(chain)) }
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

      private

      def chain_of(job)
        chain = Core::Jobs::States.in?(:to_look_over, job[:state]) ? look_over(job) : what_is_left(job)
        chain = wished(chain, work.wishes(job).merge(@wanted.fetch(job[:number], {})).compact)
        running(chain, work.running(job, since: @at - RUNNING_SECONDS))
      end

      def what_is_left(job)
        chain = chain(job[:number], work.asks(job), wet_until: work.wet_until(job))
        job[:promise_at] ? chain.with(promise: [minutes(job[:promise_at]), 0].max) : chain
      end

      # @return [Float]
      def share(chain)
        @policies[chain.waits_for_part? ? "part_promises_kept_percent" : "promises_kept_percent"] / 100.0
      end

      def look_over(job)
        Core::Bench::Chain.new(number: job[:number], operations: [ChainOfJob.look_over])
      end

      def wished(chain, wishes)
        return chain if wishes.empty?

        chain.with(operations: chain.operations.map do |operation|
          wish = wishes[operation.key.to_s]
          wish ? Wished.new(wish, bench: self).call(operation) : operation
        end)
      end

      # What somebody is at is not taken away from them, unless they went away.
      def running(chain, person_id)
        return chain if shop.technicians.none? { |technician| technician.id == person_id } || people.away?(person_id)

        first, *others = chain.operations
        return chain if first.not_before.positive? || first.technician

        chain.with(operations: [first.with(technician: person_id, pinned: true), *others])
      end

      def work
        @work ||= WorkAhead.new(at: @at, policies: @policies)
      end

      def lasts
        @lasts ||= work.lasts
      end

      # @return [Hash{Symbol=>Integer}] of what there is less than people
      def places
        { seat: @policies["bench_seats"], wet_bench: @policies["wet_benches"] }
          .select { |_, count| count && count < people.call.size }
      end

      # Nobody can test what somebody else did where nobody else is.
      def tested_by_another?
        @policies["final_test_by"] == "another" && shop.technicians.size > 1
      end

      def people
        @people ||= PeopleAtBench.new(self, days: days, open: open, policies: @policies)
      end

      def open
        @open ||= Core::Bench::Calendar.new(stretches(@policies.schedule, days))
      end

      # A shop may be closed for a season.
      # @return [Range<Date>]
      # @raise [Refused] when it is closed for longer than a shop ever is
      def days
        @days ||= begin
          first = Config::Zone.date(@zero)
          first..(@policies.schedule.open_day(first + 1) + HORIZON_DAYS)
        end
      end

      # @return [Array<Core::Bench::Slot>, nil] nil where the rack has none on file
      def slots
        return @slots if defined?(@slots)

        @slots = free_at.map do |size, time|
          Core::Bench::Slot.new(size: size, busy_until: time ? [minutes(time), 0].max : 0)
        end
        @slots = nil if @slots.empty?
        @slots
      end

      def free_at
        Models::RackSlot.in_use.left_join(:rack_stays, rack_slot_id: Sequel[:rack_slots][:id], off_at: nil)
          .order(Sequel[:rack_slots][:id]).select_map(%i[size ready_at])
      end
    end
  end
end
