# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What is asked of a part by its kind, when it is put on file: the sides that are measured, and what it may have
      # (common practice: what tells apart parts that look alike). What is known of parts on file is asked besides.
      module AskedOfKind
        # Sides of what lies on the shelf and belongs at no place, as a screw.
        ANY_SIDES = %i[length_mm width_mm diameter_mm].freeze

        module_function

        # @param kind [String]
        # @return [Array<Symbol>] sides, mm
        def sides(kind)
          Kinds::ALL[kind.to_sym]&.sides || ANY_SIDES
        end

        # @param kind [String]
        # @param known [Hash{String=>Array}] attribute => values of parts and places on file
        # @return [Hash{String=>Array<Boolean, String>}] attribute => values that may be chosen
        def attributes(kind, known = {})
          usual = Kinds::ALL[kind.to_sym]&.told_apart_by || {}
          usual.merge(known) { |_, ours, theirs| (ours + theirs).uniq }.sort.to_h
        end
      end
    end
  end
end
