# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # What a household does to wash, clean and bag intervals: each trait multiplies, down to a floor. It never touches
      # a maker's fixed months; a clock knows whether it may be shortened (Clocks::Clock). What the household's use adds
      # acts on the calendar alone: hours of use count it already.
      class Household
        include Value

        fields traits: []

        FLOOR = 0.4 # house rule
        WORDS = { pets: "pets that shed", dust: "building dust", long_hair: "long hair", daily: "daily use",
                  smoker: "smoker" }.freeze
        # trait => factor on the interval
        FACTORS = WORDS.keys.to_h { |trait| [trait, Policies::Table.default("#{trait}_percent") / 100.0] }.freeze

        USE = %i[daily].freeze # the others are dirt

        # @param table [Hash{Symbol=>Float}] trait => factor
        # @return [Float] FLOOR to 1.0
        def factor(table = FACTORS)
          [traits.map { |trait| table.fetch(trait) }.inject(1.0, :*), FLOOR].max
        end

        # @return [Household] what acts on a clock that counts hours of use
        def dirt
          traits.intersect?(USE) ? with(traits: traits - USE) : self
        end

        # @return [String] for the screen; empty when nothing shortens
        def words
          traits.map { |trait| WORDS.fetch(trait) }.join(", ")
        end

        private

        def check
          unknown = traits - FACTORS.keys
          raise ArgumentError, "unknown household trait #{unknown.join(', ')}" if unknown.any?
        end
      end
    end
  end
end
