# frozen_string_literal: true

module UprightBench
  module Demo
    # What a technician might see at a position: mostly worn a little, sometimes far gone, never dangerous.
    class Sight
      def initialize(position, random)
        @position = position
        @random = random
      end

      # @return [Hash{Symbol=>Object}]
      def seen
        send(@position.kind)
      end

      private

      def filter
        seen = { grey: [1, 2, 3, 4, 5, 5].sample(random: @random) }
        seen[:smell] = true if @random.rand < 0.1
        seen[:indicator_percent] = @random.rand(30..100) if @position.tasks.flat_map(&:clocks).any? { |clock| clock.kind == :indicator }
        seen
      end

      def brush
        { standout_mm: [7.5, 6, 5, 3.5, 2, 0].sample(random: @random) }
      end

      def bag
        { fill_percent: [10, 30, 45, 60, 80].sample(random: @random) }
      end

      def bin
        { fill_percent: [20, 50, 70, 90].sample(random: @random) }
      end

      def belt
        { length_mm: (@position.measures.fetch("length_mm") * [1.005, 1.01, 1.035].sample(random: @random)).round(1) }
      end

      def seal
        { state: %w[clean clean dirty dirty lifted torn].sample(random: @random) }
      end

      def flap
        { state: %w[closes closes gapes broken].sample(random: @random) }
      end

      def path
        { state: %w[clear clear clear partly blocked].sample(random: @random) }
      end

      def roll
        { turns: %w[free drags drags stuck].sample(random: @random) }
      end

      def contacts
        { state: %w[bright dirty].sample(random: @random) }
      end

      def battery
        { state: "sound" }
      end

      def lead
        { state: "sound" }
      end
    end
  end
end
