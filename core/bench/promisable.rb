# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # When a job can be promised: as soon as it is ready as surely as the shop wants it at least, or later, as long as
      # that makes it surer at a fair price, which is the shop's to say. A machine that waits for nothing is much surer
      # half an hour later; one whose part may come any day of a week is hardly surer tomorrow.
      #
      #   Promisable.new(readies, least: 0.9, shop: shop).by # => 175
      class Promisable
        # @param readies [Array<Integer>] moments at which it is ready, one a draw
        # @param least [Float] share of draws in which it is to be ready by then
        # @param shop [Shop]
        def initialize(readies, least:, shop:)
          @readies = readies.sort
          @least = least
          @shop = shop
        end

        # @return [Integer] the moment by which it can be promised, with some to spare
        # @raise [BeyondHorizon]
        def by
          @by ||= (Replay.place(@least, @readies.size)...@readies.size)
            .map { |place| [ToSpare.after(@readies[place], @shop), place] }
            .min_by { |at, place| at - (place * worth) }.first
        end

        private

        # @return [Float] minutes that it may be later for one draw more in which it is ready
        def worth
          @shop.minutes_for_one_more * 100.0 / (@readies.size + 1)
        end
      end
    end
  end
end
