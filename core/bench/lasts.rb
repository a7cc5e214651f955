# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # How long a kind of work takes in this shop, beside what the sheets say: log-normal, by a factor on the sheets'
      # minutes and the spread of its logarithm.
      #
      # The shop's own times move both away from what is taken before there are any: a normal distribution of unknown
      # mean and variance with its conjugate prior (Gelman et al., Bayesian Data Analysis, 3.3).
      class Lasts
        include Value

        # @!attribute factor [Float] mean minutes over the sheet's
        # @!attribute spread [Float] standard deviation of the logarithm
        SPREAD = 0.35 # before anything was done (house rule)
        SHEET = 5 # times done, that the sheet's minutes are worth (house rule)
        SPREAD_WORTH = 10 # times done, that SPREAD is worth (house rule)
        TOGETHER = 0.2 # correlation of the pieces of one machine: a sticky one is sticky everywhere (house rule)
        fields factor: 1.0, spread: SPREAD

        # @param count [Integer] times it was done
        # @param mean [Float] of ln(minutes taken / minutes of the sheet)
        # @param variance [Float] of the same, about their mean
        # @return [Lasts]
        def self.learned(count:, mean:, variance:)
          worth = SHEET + count
          squares = (count * variance) + (SHEET * count * (mean**2) / worth)
          scale = scale(squares, count)
          new(factor: Math.exp((count * mean / worth) + ((scale - scale(0, 0)) / 2)), spread: Math.sqrt(scale))
        end

        # Of the next time it is done.
        # @return [Float] variance of the logarithm
        def self.scale(squares, count)
          (squares + (SPREAD_WORTH * (SPREAD**2))) / (SPREAD_WORTH + count) * (1 + (1.0 / (SHEET + count)))
        end
        private_class_method :scale

        # Several pieces one after the other: the log-normal time with their mean and variance (Fenton 1960, IRE
        # Transactions on Communications Systems 8).
        # @param pieces [Array<Array(Numeric, Lasts)>] sheet's minutes, and how long that lasts
        # @return [Array(Array<Integer>, Float)] mean minutes of each, rounded up, and the spread of all together
        def self.together(pieces)
          means = pieces.map { |minutes, lasts| minutes * lasts.factor }
          variance = variance(pieces.zip(means).map { |(_, lasts), mean| mean * lasts.variation })
          [means.map { |mean| [mean.ceil, 1].max }, Math.sqrt(Math.log(1 + (variance / (means.sum**2))))]
        end

        # @param sds [Array<Float>] standard deviations
        # @return [Float] of their sum
        def self.variance(sds)
          ((1 - TOGETHER) * sds.sum { |sd| sd**2 }) + (TOGETHER * (sds.sum**2))
        end
        private_class_method :variance

        # @return [Float] standard deviation over mean
        def variation
          Math.sqrt(Math.exp(spread**2) - 1)
        end
      end
    end
  end
end
