# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What may be behind the complaint: a fault at a place of this machine, or how it is set.
      #
      # @!attribute key [String] as in "pre-filter:full", and "setting:pile"
      # @!attribute place [String, nil] key of a position; nil for a setting
      # @!attribute weight [Float] how likely it is before anything was looked at
      class Cause
        include Value

        fields :key, :place, :fault, :name, :weight

        # @return [String] as in "Pre-motor filter: clogged"
        def words
          "#{name}: #{fault.words}"
        end
      end
    end
  end
end
