# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Does a part have the size of a place? Belts within 1 % of the length and half a millimetre of the width,
      # filters within a millimetre of each side (house rules). It takes two sides to tell: one alone says too little.
      class ByMeasure
        SIDES = %w[length_mm width_mm diameter_mm].freeze
        NEAR = 3 # so many times the tolerance still looks alike

        # @param kind [Symbol] of the place
        # @param wanted [Hash{String=>Numeric}] the place's measures
        def initialize(kind, wanted)
          @kind = kind
          @wanted = wanted.slice(*SIDES)
        end

        # @return [Boolean]
        def fits?(part)
          compared?(part) && @wanted.all? { |side, value| off(part, side) <= tolerance(side, value) }
        end

        # @return [Boolean] so near that a person might take it for the right one
        def near?(part)
          part.kind == @kind && @wanted.any? && @wanted.all? do |side, _|
            part.measures[side] && off(part, side) <= slack(side)
          end
        end

        # @return [Array<Reason>] a side each, as in "length 334 mm for 332 mm"
        def sides(part)
          @wanted.filter_map do |side, value|
            Reason.of(:side, side: said(side), had: part.measures[side], wanted: value) if part.measures[side]
          end
        end

        # @return [Array<Reason>] the sides that are beyond the tolerance
        def wrong(part)
          @wanted.filter_map do |side, value|
            next if part.measures[side].nil? || off(part, side) <= tolerance(side, value)

            Reason.of(part.measures[side] > value ? :too_large : :too_small, side: said(side),
              had: part.measures[side], off: off(part, side), allowed: tolerance(side, value).round(2))
          end
        end

        # @return [Numeric] how far a side may be off and still look alike, mm
        def slack(side)
          NEAR * tolerance(side, @wanted.fetch(side))
        end

        private

        def compared?(part)
          part.kind == @kind && allowed.size_decides && @wanted.size > 1 &&
            (@wanted.keys - part.measures.keys).empty?
        end

        def off(part, side)
          (part.measures[side] - @wanted[side]).abs.round(6)
        end

        def tolerance(side, value)
          allowed.of(side, value)
        end

        # @return [Kind::Tolerance]
        def allowed
          Kinds.fetch(@kind).tolerance
        end

        def said(side)
          side.delete_suffix("_mm")
        end
      end
    end
  end
end
