# frozen_string_literal: true

module UprightBench
  module Services
    # The promise of a job from what is left to do on it, and what it would be if something else were chosen.
    module Promises
      # What a thing to do asks for: minutes at the bench, hours on the rack, days until its part is there.
      Ask = Struct.new(:minutes, :wait_hours, :lead_days)
      DAYS_UNKNOWN = 7 # until a part comes of which nobody said how long it takes (house rule)

      module_function

      # @return [Hash] promise_at and promise_reason, to be written to the job
      def fields(job, at:)
        items = job.work_items_dataset.where(state: "to_do").eager(part: :with_shelf.to_proc).all
        policies = Policies.now
        reserved = ReservedParts.for_others(except: job)
        asks = items.map { |item| ask_of(item, job.sheet, reserved: reserved, policies: policies) }
        promise = of(asks, at: at, policies: policies)
        { promise_at: promise.call, promise_reason: English::Sentences.of(promise.reason) }
      end

      # @param asks [Array<Ask>]
      # @param buffer_minutes [Integer] spare time; 0 for the soonest that it can be
      # @return [Core::Work::Promise]
      def of(asks, at:, policies:, buffer_minutes: policies["promise_buffer_minutes"])
        Core::Work::Promise.new(hours: policies.schedule, now: at, hands_on_minutes: asks.sum(&:minutes),
          wait_hours: asks.map(&:wait_hours).max || 0,
          lead_days: asks.map(&:lead_days).max || 0,
          buffer_minutes: buffer_minutes)
      end

      # @param item [Models::WorkItem]
      # @param reserved [Hash{Integer=>Integer}] part's id => pieces that are reserved for others
      # @return [Ask]
      def ask_of(item, sheet, reserved:, policies:)
        ask(sheet.position(item.position), item.action, item.part&.to_core(reserved: reserved[item.part_id]),
          item.minutes, policies: policies)
      end

      # @param part [Core::Fit::Part, nil]
      # @return [Ask]
      def ask(place, action, part = nil, minutes = Core::Work::Plan.minutes(place, action), policies:)
        hours = action == "wash" ? drying(place, policies).hours || Core::Drying::DryingTime::MOST_HOURS : 0
        Ask.new(minutes, hours, action == "replace" && part && !part.on_shelf? ? part.lead_days || DAYS_UNKNOWN : 0)
      end

      # @return [Core::Drying::DryingTime::Answer]
      def drying(position, policies, **how)
        Core::Drying::DryingTime.new(floor_hours: position.drying_floor_hours, usual_hours: policies["drying_hours"],
          air: policies.drying_air, **how).call
      end
    end
  end
end
