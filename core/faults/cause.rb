# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What may be behind the complaint: a fault at a place of this machine, or how it is set.
      #
      # @!attribute key [String] as in "pre-filter:full", and "setting:pile"
      # @!attribute place [String, nil] key of a position; nil for a setting
      # @!attribute part [Symbol] kind of part, or Possible::SETTING
      # @!attribute weight [Float] how likely it is before anything was looked at
      class Cause
        include Value

        fields :key, :place, :part, :fault, :name, :weight

        # @param place [Sheets::Position]
        # @param fault [Fault]
        # @return [Cause]
        def self.at(place, fault, weight)
          new(key: "#{place.key}:#{fault.key}", place: place.key, part: place.kind, fault: fault, name: place.name,
            weight: weight)
        end

        # @param key [Symbol] of Settings::ALL
        # @return [Cause]
        def self.setting(key, weight)
          new(key: "setting:#{key}", place: nil, part: Possible::SETTING, fault: Possible.fetch(Possible::SETTING, key),
            name: "Setting", weight: weight)
        end

        # @param place [Sheets::Position]
        # @param fault [Symbol, String] of Possible.at
        # @return [String] its key
        def self.key_of(place, fault)
          setting?(place, fault) ? "setting:#{fault}" : "#{place.key}:#{fault}"
        end

        # @return [Boolean] whether it is no fault of the place, but how the machine is set
        def self.setting?(place, fault)
          place.kind == :motor && fault.to_sym == Settings::CUT_OUT
        end
      end
    end
  end
end
