# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # What a household does to wash, clean and bag intervals: each trait multiplies, down to a floor.
      # It never touches a maker's fixed months; Clocks::Task knows which clocks it may shorten.
      class Household
        include Value

        fields traits: []

        # trait => factor on the interval (house rules; the direction is common practice)
        FACTORS = { pets: 0.75, dust: 0.7, long_hair: 0.9, daily: 0.8, smoker: 0.85 }.freeze
        FLOOR = 0.4 # house rule
        WORDS = { pets: "pets that shed", dust: "building dust", long_hair: "long hair", daily: "daily use", smoker: "smoker" }.freeze

        # @return [Float] FLOOR to 1.0
        def factor(table = FACTORS)
          [traits.map { |trait| table.fetch(trait) }.inject(1.0, :*), FLOOR].max
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
