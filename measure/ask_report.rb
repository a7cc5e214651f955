# frozen_string_literal: true

require_relative "weeks/rules"

module UprightBench
  module Measure
    # How long a promise takes to work out at about sixty open jobs, in a shop of four people in which more than half of
    # the machines wait for a part. Prints; judges nothing.
    class AskReport
      BUSY = { people: 4, jobs_a_day: 28, ordered: 0.6 }.freeze
      OPEN_JOBS = (56..64)

      # The plan of the bench, with a watch.
      class Timed < Weeks::Rules::Plan
        # @return [Array<Float>] milliseconds
        attr_reader :times

        def promise(shop, job)
          started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          super.tap do
            took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
            (@times ||= []) << (took * 1000) if OPEN_JOBS.cover?(shop.in_hand.size)
          end
        end
      end

      # @param weeks [Integer]
      def initialize(weeks:, out: $stdout)
        @weeks = weeks
        @out = out
      end

      def call
        rule = Timed.new
        Weeks::Shop.new(Weeks::World.new(1, @weeks, **BUSY), rule).live
        times = rule.times.to_a.sort
        @out.puts times.empty? ? "Never so many open jobs: let it live more weeks." : words(times)
      end

      private

      def words(times)
        format("%<count>d questions at 56 to 64 open jobs: half within %<half>.0f ms, nine of ten within %<most>.0f, " \
               "the longest %<longest>.0f", count: times.size, half: times[times.size / 2],
          most: times[(times.size * 0.9).floor], longest: times.last)
      end
    end
  end
end
