# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # How likely is it that a due date falls within so many days from today?
      #
      # The early and the late bound of a date enclose 80 % of where it may fall; on each side of the date the normal
      # distribution that leaves a tenth beyond its bound is taken. A date without bounds falls on its day. What is due
      # already and was not done comes, if at all, evenly over the time after its date.
      class FallsDue
        include Value

        # @!attribute due_in [Integer] days from today; negative when it is past
        # @!attribute early_in, late_in [Integer, nil] its bounds
        fields :due_in, early_in: nil, late_in: nil

        OVERDUE_DAYS = 90 # who has not come by then is not counted on any more (house rule)
        TENTH = 1.2815515655446004 # standard deviations that leave a tenth beyond (normal distribution tables)

        # @param days [Integer] from today
        # @return [Float]
        def within(days)
          return overdue_within(days) unless due_in.positive?

          spread = spread_on_the_side_of(days)
          return days >= due_in ? 1.0 : 0.0 if spread.zero?

          Math.erfc((due_in - days) / spread / Math.sqrt(2)) / 2
        end

        private

        def overdue_within(days)
          [OVERDUE_DAYS + due_in, days].min.clamp(0, OVERDUE_DAYS) / OVERDUE_DAYS.to_f
        end

        # @return [Numeric] of a normal distribution, days; 0 where nothing bounds it
        def spread_on_the_side_of(days)
          bound = days < due_in ? early_in : late_in
          bound ? (bound - due_in).abs / TENTH : 0
        end
      end
    end
  end
end
