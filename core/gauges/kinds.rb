# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # The kinds of devices that write lines, and how each one's are read: the air of a room, or quantities.
      module Kinds
        # @!attribute words [String]
        # @!attribute shows [Array<Symbol>, Symbol] keys of Quantities, or :room
        Kind = Struct.new(:words, :shows) do
          # @param pattern [String]
          # @param unit [String, nil]
          # @return [LineProfile, RoomLine]
          # @raise [ArgumentError] saying what is wrong with it
          def profile(pattern, unit)
            return RoomLine.new(pattern: pattern, unit: unit) if shows == :room

            LineProfile.new(pattern: pattern, unit: unit, shows: shows)
          end
        end

        ALL = {
          "suction" => Kind.new("suction gauge", %i[pressure flow]),
          "room" => Kind.new("thermometer of the drying room", :room),
          "scale" => Kind.new("scale", %i[mass])
        }.each_value(&:freeze).freeze

        WORDS = ALL.transform_values(&:words).freeze

        # @param kind [String] of ALL
        # @return [Kind]
        # @raise [KeyError]
        def self.fetch(kind)
          ALL.fetch(kind)
        end
      end
    end
  end
end
