# frozen_string_literal: true

module UprightBench
  module Demo
    # What a technician might see at a position: mostly worn a little, sometimes far gone, never dangerous.
    class Sight
      MEASURED = %i[filter brush bag bin belt carbon].freeze
      GOOD_SHARE = 0.6

      def initialize(position, random)
        @position = position
        @random = random
      end

      # @return [Hash{Symbol=>Object}]
      def seen
        MEASURED.include?(@position.kind) ? send(@position.kind) : state
      end

      private

      def filter
        seen = { grey: [1, 2, 3, 4, 5, 5].sample(random: @random) }
        seen[:smell] = true if @random.rand < 0.1
        seen[:indicator_percent] = @random.rand(30..100) if @position.asks_for?("indicator")
        seen
      end

      def brush
        { standout_mm: [7.5, 6, 5, 3.5, 2, 0].sample(random: @random) }
      end

      def bag
        { fill_percent: [10, 30, 45, 60, 80].sample(random: @random) }
      end

      def bin
        seen = { fill_percent: [20, 50, 70, 90].sample(random: @random) }
        seen[:haze] = true if @random.rand < 0.1
        seen
      end

      def belt
        { length_mm: (@position.measures.fetch("length_mm") * [1.005, 1.01, 1.035].sample(random: @random)).round(1) }
      end

      def carbon
        { length_mm: [28, 22, 15].sample(random: @random) }
      end

      # The good state more often than not, never one that stops.
      def state
        name, field = Core::Findings.fields(@position).first
        good, *others = field.options
        others.reject! { |word| @position.kind_of_part.state(word).verdict_kind == :refer }
        { name => @random.rand < GOOD_SHARE || others.empty? ? good : others.sample(random: @random) }
      end
    end
  end
end
