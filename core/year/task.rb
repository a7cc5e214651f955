# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # What comes round on a machine. `machine` and `what` are handed back as they came. Tasks of one `place` may cover
      # each other by their `action`.
      class Task
        include Value

        fields :machine, :what, :due_on, :interval_days, :place, :action

        WINDOW_SHARE = 0.25 # of its interval that a task may be done early, at most (house rule)

        # @param most_days [Integer] that anything may be done early
        # @return [Integer] days that it may be done early
        def window_days(most_days)
          [most_days, (interval_days * WINDOW_SHARE).floor].min
        end

        private

        def check
          raise ArgumentError, "an interval takes a day at least" unless interval_days.positive?
        end
      end
    end
  end
end
