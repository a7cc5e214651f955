# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What planning anew costs later. Most promises that break do so by a few minutes: a quarter of an hour for each
      # keeps more of them than a larger share does, and does not put off what waits for a part (measured in
      # docs/promises.md).
      module ToSpare
        MINUTES = 15

        module_function

        # As much as is left before the shop closes; none where somebody stays on for it.
        # @param ready [Integer] the moment by which a job is ready as surely as a promise is to be kept
        # @param shop [Shop]
        # @return [Integer] the moment by which it can be promised
        # @raise [BeyondHorizon]
        def after(ready, shop)
          at = [ready - 1, 0].max
          opens, closes = shop.open.stretch_from(at)
          return ready if opens > at && shop.technicians.any? { |one| one.calendar.open_from(at) == at }

          [[opens, ready].max + MINUTES, closes].min
        end
      end
    end
  end
end
