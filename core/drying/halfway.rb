# frozen_string_literal: true

module UprightBench
  module Core
    module Drying
      # When a part that lies on the rack is turned over: once half of its drying is behind it (common practice).
      module Halfway
        module_function

        # @param place [Sheets::Position]
        # @param now [Time]
        # @return [Boolean] it is time, and nobody has turned it
        def due?(place, washed_at:, dry_at:, turned_at:, now:)
          place.turn_halfway && turned_at.nil? && now < dry_at && now >= washed_at + ((dry_at - washed_at) / 2)
        end
      end
    end
  end
end
