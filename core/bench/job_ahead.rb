# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What a job still needs: hands-on minutes before its wait, the moment the wait ends (nil for none),
      # minutes after it, and what was promised (nil before it is settled). `hold` marks a job on which
      # nobody can work now (a stop, or the customer has not agreed): it takes no hands until that is cleared.
      class JobAhead
        include Value

        fields :number, before_minutes: 0, wait_hours: 0, wait_until: nil, after_minutes: 0, promise_at: nil, hold: false

        # What starts or is in a wait goes first, longest wait first; then what is promised soonest.
        def order
          [wait_hours.positive? ? 0 : 1, -wait_hours, promise_at || Time.at(2**40), number]
        end
      end
    end
  end
end
