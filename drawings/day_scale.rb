# frozen_string_literal: true

module UprightBench
  module Drawings
    # Open days side by side on one line: the first is wide, the ones after it narrower, and the nights between them are
    # left out.
    class DayScale
      GAP = 16 # between two days
      FIRST = 1.8 # how much wider the first day is than the others

      attr_reader :days

      # @param days [Array<Array<Array(Time, Time)>>] the open stretches of each day, none empty
      # @param from [Numeric] where the line begins
      # @param to [Numeric] and ends
      def initialize(days, from:, to:)
        @days = days
        @share = (to - from - (GAP * (days.size - 1))) / (FIRST + days.size - 1)
        @pieces = days.each_with_index.map do |stretches, index|
          [stretches.first.first, stretches.last.last, from + before(index), width(index)]
        end
      end

      # @return [Float] a moment in a night stands where the day before it ends
      def x(time)
        piece = @pieces.reverse.find { |from, *| from <= time } || @pieces.first
        from, till, left, width = piece
        (left + ((time - from).clamp(0, till - from) / (till - from) * width)).round(1)
      end

      # @return [Boolean] whether any of it is in sight
      def shows?(from, till)
        @pieces.any? { |begins, ends, *| from < ends && till > begins }
      end

      # @return [Boolean]
      def within?(time)
        @pieces.any? { |begins, ends, *| time.between?(begins, ends) }
      end

      # @return [Array<Array(Float, Float)>] left and right of each day
      def edges
        @pieces.map { |_, _, left, width| [left.round(1), (left + width).round(1)] }
      end

      # @return [Array<Time>] full hours of all days, but for the one at which a day ends
      def hours
        @pieces.flat_map do |from, till, *|
          first = from + ((3600 - (from.to_i % 3600)) % 3600)
          (0...((till - first) / 3600.0).ceil).map { |hour| first + (hour * 3600) }
        end
      end

      def width(index)
        index.zero? ? @share * FIRST : @share
      end

      def before(index)
        (0...index).sum { |place| width(place) + GAP }
      end
      private :width, :before

      # @return [Array<Array(Float, Float)>] left and width of the breaks within the days
      def breaks
        @days.flat_map { |stretches| stretches.each_cons(2).map { |(_, ends), (begins, _)| span(ends, begins) } }
      end

      # @return [Array(Float, Float)] left and width
      def span(from, till)
        [x(from), (x(till) - x(from)).round(1)]
      end
    end
  end
end
