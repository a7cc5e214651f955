# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # How likely the readings are with each cause of a search.
      class BehindFaults
        LEAST = 1e-3 # a reading may be wrong, too

        # @param sheet [Sheets::Sheet]
        # @param locate [Locate]
        def initialize(sheet, locate)
          @air = AirOfFault.new(sheet)
          @likelihoods = locate.likelihoods
        end

        # @param causes [Array<Faults::Cause>]
        # @return [Hash{String,nil=>Float}] by cause, and for none of them; the largest is one
        def call(causes)
          found = causes.to_h { |cause| [cause.key, of(cause)] }.merge(Faults::Belief::NONE => nothing)
          most = found.each_value.max
          most.positive? ? found.transform_values { |one| [one / most, LEAST].max } : found.transform_values { 1.0 }
        end

        private

        def of(cause)
          @likelihoods.fetch(@air.call(cause), nothing)
        end

        def nothing
          @likelihoods.fetch(AirOfFault::NOTHING)
        end
      end
    end
  end
end
