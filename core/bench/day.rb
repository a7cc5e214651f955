# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # How full a day is, in minutes of hands.
      class Day
        include Value

        # @!attribute date [Date]
        # @!attribute hands_minutes [Integer] that people are at the bench, all together
        # @!attribute planned_minutes [Integer] of work on machines that are here
        # @!attribute booked [Integer] machines that customers said they would bring
        # @!attribute usual_minutes [Integer] that a machine takes
        fields :date, :hands_minutes, planned_minutes: 0, booked: 0, usual_minutes: 60

        # Not all of a day can be given away: the telephone rings, and work takes longer than planned (house rule).
        MOST_TAKEN = 0.85

        # @return [Integer]
        def taken_minutes
          planned_minutes + (booked * usual_minutes)
        end

        # @return [Float] 0 where nobody is at the bench
        def share
          hands_minutes.zero? ? 0.0 : taken_minutes.fdiv(hands_minutes)
        end

        # @return [Boolean] whether one more machine could be brought that day and be worked on
        def holds_another?
          taken_minutes + usual_minutes <= hands_minutes * MOST_TAKEN
        end
      end
    end
  end
end
