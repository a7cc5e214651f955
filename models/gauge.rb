# frozen_string_literal: true

require "digest"

module UprightBench
  module Models
    # A gauge, a room thermometer or a scale that writes lines.
    class Gauge < Sequel::Model(:gauges)
      one_to_one :stream, class: "UprightBench::Models::GaugeStream", key: :gauge_id

      dataset_module do
        where :in_use, put_away_at: nil
        where :suction, kind: "suction"
        where :scales, kind: "scale"
      end

      # @param token [String] what its reader shows
      # @return [Gauge, nil]
      def self.of_token(token)
        in_use.first(token_digest: Digest::SHA256.hexdigest(token))
      end

      # What reads its lines.
      def profile
        Core::Gauges::Kinds.fetch(kind).profile(pattern, unit)
      end

      # @param quantity [Symbol] of Core::Gauges::Quantities
      # @return [Boolean] whether a device of its kind shows it
      def shows?(quantity)
        !room? && Core::Gauges::Kinds.fetch(kind).shows.include?(quantity)
      end

      # @return [Boolean] whether it reads the air of the drying room
      def room?
        kind == "room"
      end
    end
  end
end
