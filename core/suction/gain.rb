# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What a service did to a machine's air: the same reading before the work and after it, and beside what it is when
      # all is in order.
      #
      #   Gain.new(point: "head", kind: :flow, before: 12.0, after: 30.0, expected: 31.0).restored  # => 0.968
      class Gain
        include Value

        # @!attribute before [Float, nil] kPa or L/s; nil where nobody read it
        # @!attribute after [Float, nil]
        # @!attribute expected [Float]
        fields :point, :kind, :before, :after, :expected

        # @param readings [Array<Array(Reading, Boolean)>] in their order, each with whether it was taken after the work
        # @param machine [Machine] in order
        # @return [Array<Gain>] for each point and kind that was read after the work
        def self.of(readings, machine)
          readings.group_by { |reading, _| [reading.point, reading.kind, reading.plate_mm] }.filter_map do |key, taken|
            before, after = [false, true].map { |later| taken.reverse.find { |_, since| since == later }&.first&.value }
            next unless after

            new(point: key[0], kind: key[1], before: before, after: after,
              expected: Reading.expected(machine, *key))
          end
        end

        # @return [Float] what is there now, of what there is in order
        def restored
          after / expected
        end
      end
    end
  end
end
