# frozen_string_literal: true

module UprightBench
  module Queries
    # What the air of the drying room was of late.
    module RoomOfLate
      HOURS = 72
      MOST = 300 # points of a line

      module_function

      # @param now [Time]
      # @return [Array<Array(Time, Core::Drying::Air)>] in order, thinned out evenly
      def call(now:)
        readings = Models::RoomReading.where(read_at: (now - (HOURS * 3600))..).order(:read_at).all
        every = (readings.size / MOST.to_f).ceil
        kept = readings.each_with_index.select { |_, place| (place % [every, 1].max).zero? }
        kept.map { |reading, _| [reading.read_at, reading.air] }
      end
    end
  end
end
