# frozen_string_literal: true

module UprightBench
  module Services
    # The promise of a job from what is left to do on it, and what it would be if something else were chosen.
    module Promises
      # What a thing to do asks for: minutes at the bench, hours on the rack, days until its part is there; and what it
      # is, as the shop's own minutes are counted; `skill` that not everybody has, of Core::Bench::Skills.
      # `slot` is the size of the rack's slot that it takes meanwhile.
      Ask = Struct.new(:minutes, :wait_hours, :lead_days, :action, :skill, :slot)
      DAYS_UNKNOWN = 7 # until a part comes of which nobody said how long it takes (house rule)

      module_function

      # What could be promised as things stand. Nothing is kept free for it.
      # @return [Hash] promise_at and promise_reason, to be written to the job
      def fields(job, at:)
        columns(answer(job, AskPromise.new(job.number, at: at)))
      end

      # A promise that is given: the plan that keeps it is written down, and others wait until it is.
      # @return [Hash] promise_at and promise_reason, to be written to the job
      def give(job, at:)
        Models::BenchPlan.held
        asked = AskPromise.new(job.number, at: at)
        answer = answer(job, asked)
        KeepPlan.call(answer.schedule, asked.bench, at: at)
        columns(answer)
      end

      # A promise that is given instead of one that will break: the plan stands as it is.
      # @param job [Models::Job] agreed
      # @param till [Time] by which it is ready, as the plan says
      # @return [Hash] promise_at and promise_reason, to be written to the job
      # @raise [Refused] where it is in the plan no more
      def give_later(job, till:, at:)
        columns(AskPromise.new(job.number, at: at).as_planned(asks(job), till: till, wet_until: wet_until(job)))
      end

      # @param asked [AskPromise]
      # @return [AskPromise::Answer]
      def answer(job, asked)
        asked.call(asks(job), wet_until: wet_until(job))
      end

      # @return [Array<Ask>] for what is left to do
      def asks(job)
        items = Models::WorkItem.of_job(job.id, stays: false).select(&:to_do?)
        policies = Policies.now
        reserved = ReservedParts.for_others(except: job)
        items.map { |item| ask_of(item, job.sheet, reserved: reserved, policies: policies) }
      end

      def columns(answer)
        { promise_at: answer.at, promise_reason: English::Sentences.of(answer.reason) }
      end
      private_class_method :answer, :asks, :columns

      # @return [Time, nil] until when something of it dries that it waits for
      def wet_until(job)
        Models::RackStay.where(off_at: nil).join(:work_items, id: :work_item_id)
          .where(job_id: job.id, rotates: false).max(:ready_at)
      end

      # @param item [Models::WorkItem]
      # @param reserved [Hash{Integer=>Integer}] part's id => pieces that are reserved for others
      # @return [Ask]
      def ask_of(item, sheet, reserved:, policies:)
        ask(sheet, sheet.position(item.position), item.action, item.part&.to_core(reserved: reserved[item.part_id]),
          item.minutes, policies: policies)
      end

      # @param part [Core::Fit::Part, nil]
      # @return [Ask]
      def ask(sheet, place, action, part = nil, minutes = Core::Work::Plan.minutes(place, action), policies:)
        hours = action == "wash" ? drying(place, policies).call.hours || Core::Drying::DryingTime::MOST_HOURS : 0
        comes = action == "replace" && part && !part.on_shelf?
        Ask.new(minutes, hours, comes ? part.lead_days || DAYS_UNKNOWN : 0, action,
          Core::Bench::Skills.of(sheet, place, action), Core::Drying::SlotSize.of(place))
      end

      # @param how [Hash] shaken, draught, and air where it is not that of the drying room
      # @return [Core::Drying::DryingTime]
      def drying(position, policies, **how)
        Core::Drying::DryingTime.new(floor_hours: position.drying_floor_hours, usual_hours: policies["drying_hours"],
          air: policies.drying_air, **how)
      end
    end
  end
end
