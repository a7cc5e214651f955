# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # A job on the ruler: its stretches in order, when it is ready, and by how many minutes it breaks its promise.
      class Row
        include Value

        fields :number, :stretches, :ready_at, :promise_at

        # kind is :hands_on or :wait.
        class Stretch
          include Value

          fields :kind, :from, :to
        end

        # @param now [Time]
        # @return [String, nil] as in "2 d 20 h late"; while the promise may still be kept, "would be 5 h 35 late"; nil
        #   when in time or not promised
        def lateness(now)
          return unless late_minutes.positive?

          "#{'would be ' if promise_at > now}#{Units::Duration.words(late_minutes)} late"
        end

        # @return [Integer] 0 when in time or not promised
        def late_minutes
          return 0 unless promise_at && ready_at && ready_at > promise_at

          ((ready_at - promise_at) / 60).ceil
        end
      end
    end
  end
end
