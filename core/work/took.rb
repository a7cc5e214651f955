# frozen_string_literal: true

module UprightBench
  module Core
    module Work
      # How long something took, from what was pressed: nobody runs a stopwatch. It began when the same person last
      # pressed anything, at whichever job; so whoever goes to another machine in between pauses this one.
      module Took
        # Longer than this times what was planned, somebody was called away (common practice, from memory); shorter
        # than this, it was pressed after the fact, with others.
        MOST = 4
        LEAST_MINUTES = 0.5

        module_function

        # @param planned [Numeric] minutes
        # @param since [Time, nil] when that person last pressed anything
        # @param at [Time]
        # @return [Float, nil] minutes; nil where nobody can tell
        def minutes(planned:, since:, at:)
          return if since.nil?

          took = (at - since) / 60.0
          took if took.between?(LEAST_MINUTES, planned * MOST)
        end
      end
    end
  end
end
