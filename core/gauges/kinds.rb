# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # The kinds of devices that write lines, and how each one's are read.
      module Kinds
        WORDS = { "suction" => "suction gauge", "room" => "thermometer of the drying room", "scale" => "scale" }.freeze

        module_function

        # @param kind [String] of WORDS
        # @param pattern [String]
        # @param unit [String, nil]
        # @return [LineProfile, RoomLine]
        # @raise [ArgumentError] saying what is wrong with it
        def profile(kind, pattern, unit)
          (kind == "room" ? RoomLine : LineProfile).new(pattern: pattern, unit: unit)
        end
      end
    end
  end
end
