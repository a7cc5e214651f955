# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What a light of the machine says about a place: a code of the maker's, as its papers give it.
      class Light
        include Value

        WAYS = { "steady" => "steady", "blinks" => "blinks" }.freeze

        # @!attribute color [String]
        # @!attribute way [String] of WAYS
        # @!attribute count [Integer, nil] how often it blinks before it pauses; nil where nobody counts
        # @!attribute means [String, nil] in the words of the maker's papers
        # @!attribute fault [String] a key of Faults::Possible.at the kind of part
        fields :color, :way, :fault, count: nil, means: nil

        # @return [String] as in "red, blinks 3 times"
        def words
          counted = " #{count} #{count == 1 ? 'time' : 'times'}" if count
          "#{color}, #{WAYS.fetch(way)}#{counted}"
        end

        private

        def check
          raise ArgumentError, "a light is #{WAYS.keys.join(' or ')}" unless WAYS.key?(way)
          raise ArgumentError, "a light has a color" unless color.is_a?(String) && color.match?(/\S/)
          return if count.nil? || (way == "blinks" && count.is_a?(Integer) && count.between?(1, 20))

          raise ArgumentError, "a light that blinks is counted, from 1 to 20"
        end
      end
    end
  end
end
