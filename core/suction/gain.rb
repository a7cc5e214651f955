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
        fields :point, :kind, :before, :after, :expected, exhaust_off: false

        # @param readings [Array<Array(Reading, Boolean)>] in their order, each with whether it was taken after the work
        # @param machine [Machine] in order
        # @return [Array<Gain>] for each point and kind that was read after the work
        def self.of(readings, machine)
          readings.group_by { |reading, _| reading.where }.each_value.filter_map do |taken|
            before, after = [false, true].map { |later| taken.reverse.find { |_, since| since == later }&.first }
            next unless after

            new(point: after.point, kind: after.kind, before: before&.value, after: after.value,
              expected: after.expected(machine), exhaust_off: after.exhaust_off)
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
