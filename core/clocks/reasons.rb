# frozen_string_literal: true

require "zlib"

module UprightBench
  module Core
    module Clocks
      # Why a date is as it is: a sentence for each clock that runs out, the deciding one first. Dates are computed by
      # the million and hardly one moves, so the sentences are made only when someone wants them; the mark tells
      # whether they would say what was kept.
      class Reasons
        include Value

        WORDING = 1 # one more when a sentence is put otherwise, so that what was kept is written anew

        # A date that no clock gave.
        Plain = Struct.new(:sentence) do
          def sentences
            [sentence]
          end

          def mark
            Zlib.crc32(sentence)
          end
        end

        # @!attribute dated [Array<DueDate::Dated>]
        # @!attribute progress [Progress]
        # @!attribute conditions [Conditions]
        # @!attribute own [Use::Personal]
        fields :dated, :progress, :conditions, :own

        # @return [Array<String>]
        def sentences
          start = Units::Day.words(progress.started_on)
          dated.map do |clocked|
            "#{clocked.clock.words}#{shortening(clocked)} from " \
              "#{start}#{clocked.clock.progress_words(progress, conditions)}: #{Units::Day.words(clocked.due)}"
          end
        end

        # Of everything that a sentence is made of, so that it is another one when a sentence is another one. The same
        # in every process.
        # @return [Integer] 32 bits
        def mark
          dated.inject(WORDING) { |mark, clocked| Zlib.crc32(figures(clocked).pack("q6E"), mark) }
        end

        private

        def figures(clocked)
          [clocked.clock.mark, clocked.household < 1 ? conditions.household_mark : 0, own.ratios.size,
           progress.started_on.jd, clocked.clock.progress_figure(progress, conditions), clocked.due.jd,
           clocked.personal]
        end

        def shortening(clocked)
          household = conditions.household_words if clocked.household < 1
          if clocked.personal == 1
            household
          else
            format("%<household>s ÷ %<factor>.2f (%<why>s)", household: household,
              factor: clocked.personal, why: own.words)
          end
        end
      end
    end
  end
end
