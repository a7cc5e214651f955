# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # When does a clock run out that was found so far gone? On the day on which what was found and what has gone since
      # make a whole: load + elapsed / interval = 1. A load of 1 or more is due on the day it was found.
      #
      # A grade of a scale with steps of g is taken as uniform over load +- g / 2; its middle 80 % gives the bounds,
      # beside those of the use rate (house rule).
      class FromLoad
        MIDDLE = 0.8

        # @param progress [Progress] with a load
        # @param use [Use::Rate]
        def initialize(progress, use)
          @progress = progress
          @run = Run.new(Progress.new(started_on: progress.load_on), use)
        end

        # @param clock [Clock]
        # @param factor [Float] on the interval
        # @return [Array(Date, Date, Date), nil] the day, how early and how late; nil when it never runs out
        def runs_out(clock, factor)
          aside = @progress.load_step * MIDDLE / 2
          due, early, late = at(clock, factor, 0)
          return unless due
          return [due, early, late] if aside.zero?

          [due, at(clock, factor, aside)[1], at(clock, factor, -aside).last]
        end

        private

        def at(clock, factor, aside)
          clock.runs_out(@run, factor * [1 - @progress.load - aside, 0].max)
        end
      end
    end
  end
end
