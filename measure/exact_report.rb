# frozen_string_literal: true

require_relative "exact/solver"

module UprightBench
  module Measure
    # Compares promises with the soonest there can be, in small shops drawn at random.
    class ExactReport
      # @param shops [Integer]
      # @param seconds [Integer] for each, after which the solver gives up
      def initialize(shops:, seconds:)
        @shops = shops
        @seconds = seconds
      end

      def call
        answers = (1..@shops).map { |seed| answer(seed) }
        proven, open = answers.partition(&:proven)
        puts "#{@shops} shops: #{proven.size} solved to the end; of these #{share(proven)} as soon as can be, " \
             "the others later by #{late(proven)}.",
          "Not solved to the end in #{@seconds} s: #{open.size}; a better plan was found for " \
          "#{open.count { |answer| answer.gap.positive? }} of them."
      end

      private

      def answer(seed)
        Exact::Solver.new(Exact::SmallShop.new(seed)).call(seconds: @seconds).tap do |answer|
          puts "Shop #{seed}: #{answer.to_h}" if answer.gap.positive?
        end
      end

      def share(answers)
        format("%.1f %%", 100.0 * answers.count { |answer| answer.gap.zero? } / answers.size)
      end

      def late(answers)
        gaps = answers.map(&:gap).select(&:positive?)
        gaps.empty? ? "nothing" : gaps.map { |gap| format("%.1f %%", gap * 100) }.join(", ")
      end
    end
  end
end
