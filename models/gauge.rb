# frozen_string_literal: true

require "digest"

module UprightBench
  module Models
    # A gauge that writes lines.
    class Gauge < Sequel::Model(:gauges)
      one_to_one :stream, class: "UprightBench::Models::GaugeStream", key: :gauge_id

      dataset_module do
        where :in_use, put_away_at: nil
      end

      # @param token [String] what its reader shows
      # @return [Gauge, nil]
      def self.of_token(token)
        in_use.first(token_digest: Digest::SHA256.hexdigest(token))
      end

      # @return [Core::Gauges::LineProfile]
      def profile
        Core::Gauges::LineProfile.new(pattern: pattern, unit: unit)
      end
    end
  end
end
