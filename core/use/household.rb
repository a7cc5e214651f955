# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # What a household does to wash, clean and bag intervals: each trait multiplies, down to a floor.
      # It never touches a maker's fixed months; Clocks::Task knows which clocks it may shorten.
      class Household
        include Value

        fields traits: []

        FLOOR = 0.4 # house rule
        WORDS = { pets: "pets that shed", dust: "building dust", long_hair: "long hair", daily: "daily use",
                  smoker: "smoker" }.freeze
        # trait => factor on the interval
        FACTORS = WORDS.keys.to_h { |trait| [trait, Policies::Table.default("#{trait}_percent") / 100.0] }.freeze

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
