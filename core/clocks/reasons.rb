# frozen_string_literal: true

require "zlib"

module UprightBench
  module Core
    module Clocks
      # Why a date is as it is: a reason for each clock that runs out, the deciding one first. Dates are computed by the
      # million and hardly one moves, so the reasons are made only when someone wants them; the mark tells whether they
      # would be those that were kept.
      class Reasons
        include Value

        MAKE = 2 # one more when a reason gets other figures, so that what was kept is written anew

        # A date that no clock gave.
        Plain = Struct.new(:reason) do
          def to_a
            [reason]
          end

          def mark
            Zlib.crc32(reason.key.name)
          end
        end

        # @!attribute dated [Array<DueDate::Dated>]
        # @!attribute progress [Progress]
        # @!attribute conditions [Conditions]
        # @!attribute own [Use::Personal]
        fields :dated, :progress, :conditions, :own

        # @return [Array<Reason>]
        def to_a
          dated.map do |clocked|
            clock = clocked.clock
            Reason.of(clock.reason_key, **clock.limits, **run_so_far(clocked), **shortening(clocked),
              until_on: clocked.due)
          end
        end

        # Of everything that a reason is made of, so that it is another one when a reason is another one. The same in
        # every process.
        # @return [Integer] 32 bits
        def mark
          dated.inject(MAKE) { |mark, clocked| Zlib.crc32(marks(clocked).pack("q6E"), mark) }
        end

        private

        def marks(clocked)
          [clocked.clock.mark, clocked.household.mark, own.ratios.size,
           *(clocked.found ? found_marks : [progress.started_on.jd, clocked.clock.progress_mark(progress, conditions)]),
           clocked.due.jd, clocked.personal]
        end

        # The day is that of what was found, which is told apart from a start.
        def found_marks
          [-progress.load_on.jd, (progress.load * 100).round + (conditions.rate_mark * 1000)]
        end

        # Since when it runs, and how far; or how far gone it was found.
        def run_so_far(clocked)
          unless clocked.found
            return { **clocked.clock.progress_figures(progress, conditions), from_on: progress.started_on }
          end

          { rate: (conditions.rate if clocked.clock.by_use?), found: (progress.load * 100).round,
            found_on: progress.load_on }.compact
        end

        def shortening(clocked)
          clocked.personal == 1 ? clocked.household.figures : { **clocked.household.figures, **own.figures }
        end
      end
    end
  end
end
