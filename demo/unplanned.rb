# frozen_string_literal: true

module UprightBench
  module Demo
    # Past jobs are promised by what is to be done alone: nobody asks any more whether the bench had room, and the plan
    # that stands is of today. It is put before the services that plan, and says nothing outside its block.
    module Unplanned
      KEY = :upright_bench_demo_unplanned
      SPARE_MINUTES = 120
      QUARTER_SECONDS = 900

      # Put before Services::Promises.
      module Promises
        def give(job, at:)
          Unplanned.on? ? Unplanned.promise(job, at) : super
        end

        def fields(job, at:)
          Unplanned.on? ? Unplanned.promise(job, at) : super
        end
      end

      # Put before Services::MakePlan.
      module MakePlan
        def ask
          super unless Unplanned.on?
        end
      end

      module_function

      def during
        put_before_services
        before = Thread.current[KEY]
        Thread.current[KEY] = true
        yield
      ensure
        Thread.current[KEY] = before
      end

      def on?
        Thread.current[KEY] || false
      end

      # In the process that loads the demo, and in no other. Once: what stands there already is left.
      def put_before_services
        Services::Promises.singleton_class.prepend(Promises)
        Services::MakePlan.singleton_class.prepend(MakePlan)
      end

      # @return [Hash] promise_at and promise_reason, to be written to the job
      def promise(job, at)
        policies = Services::Policies.now
        items = job.work_items_dataset.where(state: "to_do").all
        minutes = items.sum(&:minutes)
        hours = items.map { |item| item.action == "wash" ? wash_hours(job, item, policies) : 0 }.max || 0
        { promise_at: till(policies.schedule, at, minutes, hours),
          promise_reason: English::Sentences.of(Core::Reason.of(:ready_by, work_minutes: minutes,
            **(hours.positive? ? { wait_hours: hours } : {}), spare_minutes: SPARE_MINUTES)) }
      end

      def wash_hours(job, item, policies)
        place = job.sheet.position(item.position)
        Services::Promises.drying(place, policies).call.hours || Core::Drying::DryingTime::MOST_HOURS
      end

      # On the next quarter of an hour at which the shop is open.
      def till(schedule, at, minutes, hours)
        ready = schedule.after(schedule.after(at, minutes) + (hours * 3600), SPARE_MINUTES)
        Time.at((ready.to_i / QUARTER_SECONDS.to_f).ceil * QUARTER_SECONDS)
      end
      private_class_method :put_before_services, :wash_hours, :till
    end
  end
end
