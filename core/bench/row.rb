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

        # @return [Integer] 0 when in time or not promised
        def late_minutes
          return 0 unless promise_at && ready_at && ready_at > promise_at

          ((ready_at - promise_at) / 60).ceil
        end
      end
    end
  end
end
