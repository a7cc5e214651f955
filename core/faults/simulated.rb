# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # A machine with hidden faults, drawn by the weights of a search, that answers each check as a real one would: a
      # sign is seen as often as its sensitivity says.
      class Simulated
        attr_reader :faults

        # @param search [Search]
        # @param chance [#call] gives numbers from 0 up to 1, each time another
        # @param faults [Integer] how many
        # @return [Simulated]
        def self.draw(search, chance, faults: 1)
          shares = { **search.causes.to_h { |cause| [cause.key, cause.weight] }, Belief::NONE => search.none }
          drawn = Array.new(faults) do
            key = pick(shares, chance.call)
            shares = shares.except(key)
            key
          end
          new(drawn.compact, chance)
        end

        def self.pick(shares, point)
          point *= shares.each_value.sum
          shares.each { |key, share| (point -= share) <= 0 and return key }
          shares.keys.last
        end
        private_class_method :pick

        # @param faults [Array<String>] keys of causes; empty when it is none of them
        def initialize(faults, chance)
          @faults = faults
          @chance = chance
        end

        # @param check [Check]
        # @return [Symbol] :found or :clear
        def answer(check)
          sign = @faults.empty? ? check.likelihood(Belief::NONE) : sign_of(check)
          @chance.call < sign ? :found : :clear
        end

        private

        def sign_of(check)
          1 - @faults.inject(1.0) { |missed, fault| missed * (1 - check.likelihood(fault)) }
        end
      end
    end
  end
end
