# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What each operation of a chain could turn out to be, in each of Draws::COUNT draws; worked out once for a chain,
      # in however many plans it stands.
      class Chances
        # @param draws [Draws]
        def initialize(draws = Draws.usual)
          @draws = draws
          @minutes = {}
          @of_chains = {}.compare_by_identity
        end

        # Log-normal, with the planned minutes as the mean.
        # @param chain [Chain]
        # @param place [Integer] of an operation in it
        # @return [Array<Integer>] minutes, at least one
        def minutes(chain, place)
          operation = chain.operations[place]
          in_order(chain, place, 0) do
            @minutes[[operation.minutes, operation.spread]] ||= lasting(operation.minutes, operation.spread)
          end
        end

        # Never less than what was reckoned.
        # @return [Array<Integer>, nil] minutes that pass after the one before it; nil for none
        def dry(chain, place)
          before = chain.operations[place - 1] unless place.zero?
          return if before.nil? || before.dry_minutes.zero?

          in_order(chain, place, 1) do
            Draws::SCORES.map { |score| (before.dry_minutes * Math.exp(before.dry_spread * [score, 0].max)).round }
          end
        end

        # @return [Array<Integer>, nil] moments before which it cannot begin; nil where it can at once
        def not_before(chain, place)
          operation = chain.operations[place]
          return if operation.not_before.zero?

          in_order(chain, place, 2) do
            Draws::SCORES.map { |score| (operation.not_before * Math.exp(operation.late_spread * score)).round }
          end
        end

        private

        def lasting(minutes, spread)
          Draws::SCORES.map { |score| [(minutes * Math.exp((spread * score) - (spread * spread / 2))).round, 1].max }
        end

        # Each of the three chances of an operation by itself; the same for a job whatever other jobs there are.
        def in_order(chain, place, chance)
          of_chain = @of_chains[chain] ||= {}
          of_chain[(place * 3) + chance] ||=
            yield.values_at(*@draws.order((((chain.number * 8) + place) * 3) + chance))
        end
      end
    end
  end
end
