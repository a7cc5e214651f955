# frozen_string_literal: true

module UprightBench
  module Models
    # What a part will be asked for, as it was last reckoned for the whole shelf.
    class PartForecast < Sequel::Model(:part_forecasts)
      unrestrict_primary_key

      # @return [Float] pieces
      def mean
        from_dues + from_walk_ins
      end
    end
  end
end
