# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # How likely each cause is after what was seen so far (Bayes' rule), with "none of these" kept.
      class Belief
        NONE = nil # the key under which it is none of the causes
        RESULTS = %i[found clear cannot_tell].freeze

        # @param shares [Hash{String,nil=>Float}] by cause; they need not sum to one
        def initialize(shares)
          whole = shares.each_value.sum
          raise ArgumentError, "nothing is left that it could be" unless whole.positive?

          @shares = shares.transform_values { |share| share / whole }.freeze
        end

        # @param search [Search]
        # @return [Belief] before anything was looked at
        def self.of(search)
          new({ **search.causes.to_h { |cause| [cause.key, cause.weight] }, NONE => [search.none, 1e-6].max })
        end

        # @return [Hash{String,nil=>Float}]
        def to_h
          @shares
        end

        # @return [Float]
        def [](cause)
          @shares.fetch(cause, 0.0)
        end

        # @param check [Check]
        # @param result [Symbol] of RESULTS
        # @return [Belief]
        def after(check, result)
          return self if result == :cannot_tell

          self.class.new(@shares.to_h do |cause, share|
            sign = check.likelihood(cause)
            [cause, share * (result == :found ? sign : 1 - sign)]
          end)
        end

        # It was mended and the complaint is still there.
        # @return [Belief]
        def without(causes)
          left = @shares.except(*causes)
          self.class.new(left.each_value.sum.positive? ? left : { NONE => 1.0 })
        end

        # @param check [Check]
        # @return [Float] that its sign will be seen
        def sign(check)
          @shares.sum { |cause, share| share * check.likelihood(cause) }
        end

        # By a reading, or what else says how likely it is with each cause.
        # @param likelihoods [Hash{String,nil=>Float}] causes that are left out are taken as `otherwise`
        # @return [Belief]
        def weighed(likelihoods, otherwise: 1.0)
          self.class.new(@shares.to_h { |cause, share| [cause, share * likelihoods.fetch(cause, otherwise)] })
        end
      end
    end
  end
end
