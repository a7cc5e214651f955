# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # An old part in the hand and a rule beside it: two sides, and nobody knows which the shelf calls length. Which
      # parts are of that size?
      class Measured
        WAYS = { belt: [%w[length_mm width_mm]], filter: [%w[length_mm width_mm], %w[length_mm diameter_mm]] }.freeze
        Match = Struct.new(:part, :fits, :reasons)

        # @param sides_mm [Array(Numeric, Numeric)]
        def initialize(sides_mm)
          @sides_mm = sides_mm.sort.reverse
        end

        # @param parts [Array<Part>] belts and filters; the others are passed over
        # @return [Array<Match>] those that fit the size first, then those that nearly do; the nearest first
        def matches(parts)
          found = parts.filter_map { |part| match(part) }
          found.sort_by { |match| [match.fits ? 0 : 1, distance(match.part), match.part.number] }
        end

        private

        def match(part)
          sizes = ways(part).map { |names| ByMeasure.new(part.kind, names.zip(@sides_mm).to_h) }
          fitting = sizes.find { |size| size.fits?(part) }
          return Match.new(part, true, [Reason.of(:of_the_size, sides: fitting.sides(part))]) if fitting

          near = sizes.find { |size| size.near?(part) }
          near && Match.new(part, false, near.wrong(part))
        end

        # Which of the part's two sides is the longer of those measured: either.
        def ways(part)
          sides = (part.measures.keys & ByMeasure::SIDES).sort
          WAYS.fetch(part.kind, []).select { |names| names.sort == sides }.flat_map { |names| [names, names.reverse] }
        end

        def distance(part)
          part.measures.values_at(*ByMeasure::SIDES).compact.sort.reverse.zip(@sides_mm)
            .sum { |had, wanted| (had - wanted).abs }
        end
      end
    end
  end
end
