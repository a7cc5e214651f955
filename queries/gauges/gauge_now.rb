# frozen_string_literal: true

module UprightBench
  module Queries
    # What the gauge in hand shows just now.
    class GaugeNow
      SILENT_SECONDS = 3

      attr_reader :gauge, :others

      # @param id [Integer, nil] which; the one that was heard last when nil, or when that one is silent
      # @param since [Time, nil] the last reading that was taken: what was shown until then says nothing of the next
      # @return [GaugeNow, nil] nil where the shop has none
      def self.of(id, at:, since: nil)
        gauges = GaugesOnFile.suction
        return if gauges.empty?

        heard = new(gauges.max_by { |gauge| gauge.stream.heard_at.to_f }, gauges, at, since)
        asked = gauges.find { |gauge| gauge.id == id } or return heard
        asked = new(asked, gauges, at, since)
        asked.silent? && !heard.silent? ? heard : asked
      end

      def initialize(gauge, gauges, at, since)
        @gauge = gauge
        @others = gauges - [gauge]
        @at = at
        @fresh = since ? at - since : Float::INFINITY
      end

      # @return [Boolean]
      def silent?
        last.nil? || @at - @gauge.stream.heard_at > SILENT_SECONDS
      end

      # @return [Core::Gauges::Shown, nil]
      def last
        shown.min_by(&:first)&.last
      end

      # @return [Float, nil] the value on which it has come to rest
      def steady
        @steady ||= Core::Gauges::Steady.new(shown.select { |ago, _| ago < @fresh }, @gauge.error_percent).value
      end

      # @return [Array<Array(Float, Core::Gauges::Shown)>] seconds ago, and what it showed
      def shown
        @shown ||= @gauge.stream.shown_at(@at).select { |_, shown| @gauge.shows?(shown.what) }
      end
    end
  end
end
