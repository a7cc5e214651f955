# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What is asked of a part by its kind, when it is put on file: the sides that are measured, and what it may have
      # (common practice: what tells apart parts that look alike). What is known of parts on file is asked besides.
      module AskedOfKind
        module_function

        # @param kind [String]
        # @return [Array<Symbol>] sides, mm
        def sides(kind)
          Kinds::ALL[kind.to_sym]&.sides || Kind::SIDES # a screw belongs at no place
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
