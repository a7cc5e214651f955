# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # All that a search for a fault knows before it begins: what may be behind it, what can be done, and what has to
      # come off. Weights are shares; what is left of them is none of the causes.
      class Search
        include Value

        # @!attribute causes [Array<Cause>]
        # @!attribute checks [Array<Check>] in the order of the air path
        # @!attribute openings [Array<Opening>]
        fields :causes, :checks, openings: [].freeze

        # @return [Float] that it is none of the causes
        def none
          [1.0 - causes.sum(&:weight), 0.0].max
        end

        # @raise [KeyError]
        def check_of(key)
          checks.find { |one| one.key == key } || raise(KeyError, "no check #{key}")
        end

        # @raise [KeyError]
        def cause_of(key)
          causes.find { |one| one.key == key } || raise(KeyError, "no cause #{key}")
        end

        # @param keys [Array<String>] openings that are made anew
        # @return [Float] minutes
        def opening_minutes(keys)
          openings.sum { |opening| keys.include?(opening.key) ? opening.minutes : 0 }
        end

        private

        def check
          raise ArgumentError, "weights are more than all there is" if causes.sum(&:weight) > 1 + 1e-9

          known = openings.map(&:key)
          unknown = checks.flat_map(&:needs) - known
          raise ArgumentError, "no opening #{unknown.first}" if unknown.any?
        end
      end
    end
  end
end
