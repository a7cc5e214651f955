# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # How many are asked for until the next order has come: in a lead time that scatters, and in a review that does
      # not. Poisson over a Gamma lead time is negative binomial; the review is Poisson besides; the sum is their
      # convolution (Johnson, Kemp and Kotz, Univariate Discrete Distributions).
      #
      #   LeadDemand.new(in_lead: 4.5, in_review: 3.5, lead_days: 9, lead_spread_days: 4).quantile(0.95)  # => 14
      class LeadDemand
        include Value

        # @!attribute in_lead, in_review [Numeric] pieces that are expected
        # @!attribute lead_days, lead_spread_days [Numeric] mean and standard deviation
        fields :in_lead, :in_review, :lead_days, lead_spread_days: 0

        MOST_MEAN = 300 # beyond, single terms are too small for a float; the sum is near a negative binomial by then

        # @param pieces [Integer]
        # @return [Float] that no more are asked for
        def cdf(pieces)
          return 0.0 if pieces.negative?
          return Stats::Poisson.new(mean: mean).cdf(pieces) unless scatters?
          return alike.cdf(pieces) if mean > MOST_MEAN

          sum(pieces)
        end

        # @param probability [Float] 0 or more and below 1
        # @return [Integer] the smallest number that is not exceeded with at least this probability
        def quantile(probability)
          raise ArgumentError, "probability must be 0 or more and below 1" unless probability >= 0 && probability < 1

          low = -1
          high = [mean.ceil, 1].max
          high *= 2 while cdf(high) < probability
          while high - low > 1
            middle = (low + high) / 2
            cdf(middle) >= probability ? high = middle : low = middle
          end
          high
        end

        private

        def mean
          in_lead + in_review
        end

        def scatters?
          lead_spread_days.positive? && lead_days.positive? && in_lead.positive?
        end

        # Of the Gamma that the lead time is taken from.
        def shape
          (lead_days / lead_spread_days.to_f)**2
        end

        # One negative binomial with the mean and the variance of the sum.
        def alike
          Stats::NegativeBinomial.new(shape: shape * ((mean / in_lead.to_f)**2), mean: mean)
        end

        def sum(pieces)
          review = poisson(pieces).inject([]) { |sums, term| sums << ((sums.last || 0) + term) }
          lead_terms(pieces).each_with_index.sum { |term, count| term * review[pieces - count] }
        end

        # @return [Array<Float>] P(0) to P(pieces) in the review
        def poisson(pieces)
          (1..pieces).inject([Math.exp(-in_review)]) { |terms, count| terms << (terms.last * in_review / count) }
        end

        # @return [Array<Float>] P(0) to P(pieces) in the lead time
        def lead_terms(pieces)
          none = shape / (shape + in_lead)
          (1..pieces).inject([none**shape]) do |terms, count|
            terms << (terms.last * (shape + count - 1) / count * (1 - none))
          end
        end

        def check
          raise ArgumentError, "nothing here is negative" if [in_lead, in_review, lead_days, lead_spread_days]
            .any?(&:negative?)
        end
      end
    end
  end
end
