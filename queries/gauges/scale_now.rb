# frozen_string_literal: true

module UprightBench
  module Queries
    # What the scale that was heard last shows just now.
    module ScaleNow
      module_function

      # @param at [Time]
      # @return [Float, nil] grams on which it came to rest; nil where none is heard, or while it moves
      def call(at:)
        scale = GaugesOnFile.call(Models::Gauge.in_use.scales).max_by { |one| one.stream.heard_at.to_f } or return
        Core::Gauges::Steady.new(scale.stream.shown_at(at).select { |_, shown| shown.what == :mass },
          scale.error_percent).value
      end

      # @return [Boolean] whether the shop has one
      def any?
        !Models::Gauge.in_use.scales.empty?
      end
    end
  end
end
