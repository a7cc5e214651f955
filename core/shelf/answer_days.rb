# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # How long do those who come wait after their card? Learned from the shop's own cards; while few were answered,
      # the usual is held as if it had been seen on so many.
      class AnswerDays
        include Value

        # @!attribute counts [Array<Integer>] who came by each of STEPS, and later than by the one before
        fields counts: [0] * 5

        STEPS = [7, 14, 28, 56, 90].freeze # days; who has not come by the last is not counted on any more (house rule)
        USUAL = [0.2, 0.2, 0.25, 0.25, 0.1].freeze # share of those who come (house rule)
        AS_IF_SEEN = 20 # answers (house rule)

        # Even within a step.
        # @param days [Numeric] after the card
        # @return [Float] share of those who come
        def within(days)
          return 0.0 if days <= 0
          return 1.0 if days >= STEPS.last

          step = STEPS.index { |end_of| days < end_of }
          from = step.zero? ? 0 : STEPS[step - 1]
          @shares.first(step).sum + (@shares[step] * (days - from) / (STEPS[step] - from))
        end

        private

        def check
          raise ArgumentError, "a count for each step" unless counts.size == STEPS.size && counts.none?(&:negative?)

          all = counts.sum + AS_IF_SEEN
          @shares = counts.zip(USUAL).map { |seen, usual| (seen + (usual * AS_IF_SEEN)) / all.to_f }.freeze
        end
      end
    end
  end
end
