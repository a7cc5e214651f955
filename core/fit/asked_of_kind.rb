# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # What is asked of a part by its kind, when it is put on file: the sides that are measured, and what it may have
      # (common practice: what tells apart parts that look alike). What is known of parts on file is asked besides.
      module AskedOfKind
        YES_NO = [true, false].freeze
        ANY_SIDES = %i[length_mm width_mm diameter_mm].freeze

        # kind => sides, and attribute => values
        TABLE = {
          "belt" => [%i[length_mm width_mm], { "toothed" => YES_NO }],
          "filter" => [ANY_SIDES, { "clip" => YES_NO, "frame" => YES_NO, "twist_lock" => YES_NO,
                                    "first_side" => %w[left right], "seal" => %w[flat rimmed] }],
          "bag" => [%i[length_mm width_mm], { "clip" => YES_NO, "seal" => %w[flat rimmed] }],
          "roll" => [%i[length_mm diameter_mm], { "drive" => %w[left right], "first_side" => %w[left right] }],
          "brush" => [%i[length_mm width_mm], { "strip" => %w[front rear] }],
          "side_brush" => [%i[diameter_mm], { "side" => %w[left right] }],
          "seal" => [ANY_SIDES, { "adhesive" => YES_NO }],
          "hose" => [%i[length_mm diameter_mm], { "swivel" => YES_NO }],
          "carbon" => [%i[length_mm width_mm], {}]
        }.freeze

        module_function

        # @param kind [String]
        # @return [Array<Symbol>] sides, mm
        def sides(kind)
          TABLE.fetch(kind, [ANY_SIDES]).first
        end

        # @param kind [String]
        # @param known [Hash{String=>Array}] attribute => values of parts and places on file
        # @return [Hash{String=>Array<Boolean, String>}] attribute => values that may be chosen
        def attributes(kind, known = {})
          usual = TABLE.fetch(kind, [nil, {}]).last
          usual.merge(known) { |_, ours, theirs| (ours + theirs).uniq }.sort.to_h
        end
      end
    end
  end
end
