# frozen_string_literal: true

module UprightBench
  module Screens
    module Bench
      # A job as its row on the bench shows it.
      class Line
        attr_reader :job, :plan

        # @param job [Queries::JobsOnBench::Row]
        # @param plan [Core::Bench::Row] its stretches on the ruler
        # @param now [Time]
        def initialize(job, plan, now)
          @job = job
          @plan = plan
          @now = now
        end

        # @return [Symbol] one of Core::Bench::WaitsFor::ALL
        def waits_for
          @waits_for ||= Core::Bench::WaitsFor.of(state: @job.state, work_minutes: @job.work_minutes,
            stopped: @job.stopped,
            dry: @job.dry, wet: !@job.wet_until.nil?, asked: @job.asked)
        end

        def late?
          @plan.late_minutes.positive?
        end

        # @return [String, nil] as in "2 d 20 h late" or "would be 5 h 35 late"
        def lateness
          @plan.lateness(@now)
        end

        # @return [Time, nil] nil when it is ready
        def promise_at
          @job.promise_at unless waits_for == :collection
        end

        # @return [String] where it stands
        def state
          return "Stop" if @job.stopped
          return "Question" if @job.asked

          "#{Core::Jobs::States::WORDS.fetch(@job.state.to_sym).capitalize}#{', opened up' if @job.opened}"
        end

        # @return [String] what the button says
        def action
          return "See the stop" if @job.stopped
          return "Answer" if @job.asked

          @job.dry ? "Take off rack" : Core::Jobs::States::NEXT_ACTION.fetch(@job.state.to_sym)
        end

        def action_path
          return "#{path}#questions" if @job.asked && !@job.stopped
          return "/rack" if @job.dry && !@job.stopped

          "#{path}#{'/look-over' if Core::Jobs::States.in?(:to_look_over, @job.state)}"
        end

        # @return [Boolean] whether somebody can act on it now
        def act_now?
          !@job.stopped && %i[hands collection].include?(waits_for)
        end

        def path
          "/jobs/#{@job.number}"
        end
      end
    end
  end
end
