# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What a job still needs: hands-on minutes before its wait, the moment the wait ends (nil for none),
      # minutes after it, and what was promised (nil before it is settled). `hold` marks a job on which
      # nobody can work now (a stop, or the customer has not agreed): it takes no hands until that is cleared.
      class JobAhead
        include Value

        fields :number, before_minutes: 0, wait_hours: 0, wait_until: nil, after_minutes: 0, promise_at: nil,
          hold: false

        LOOK_OVER_MINUTES = 20 # for a machine that nobody has looked over yet (house rule)

        # @param state [Symbol, String] of the job
        # @param work_minutes [Numeric] of what is still to do
        # @param stopped [Boolean] whether a stop stands
        # @return [JobAhead]
        def self.from(state:, work_minutes:, stopped:, **more)
          held = stopped || Jobs::States.in?(:estimated, state) || Jobs::States.in?(:to_collect, state)
          new(before_minutes: Jobs::States.in?(:to_look_over, state) ? LOOK_OVER_MINUTES : work_minutes,
            after_minutes: Jobs::States.in?(:agreed, state) ? Work::Promise::REFIT_MINUTES : 0, hold: held, **more)
        end

        # What a job waits for, in the order in which the bench shows them.
        WAITS_FOR = %i[hands drying customer stop collection].freeze

        # @param dry [Boolean] whether something of it can come off the rack
        # @param wet [Boolean] whether something of it is still drying
        # @param asked [Boolean] whether the customer waits for an answer
        # @return [Symbol] one of WAITS_FOR
        def self.waits_for(state:, work_minutes:, stopped:, dry:, wet:, asked: false)
          return :stop if stopped
          return :hands if asked
          return :collection if Jobs::States.in?(:to_collect, state)
          return :customer if Jobs::States.in?(:estimated, state)

          wet && !dry && work_minutes.zero? ? :drying : :hands
        end

        # What starts or is in a wait goes first, longest wait first; then what is promised soonest.
        def order
          [-wait_hours, promise_at || Time.at(2**40), number]
        end
      end
    end
  end
end
