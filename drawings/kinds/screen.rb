# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A screen in each of its states.
      class Screen < Gauges::Pictured
        PICTURES = {
          "clear" => [[:line, "M60 12h100v58h-100z"], [:thin, "M80 12v58M100 12v58M120 12v58M140 12v58M60 26h100M60 " \
                                                              "41h100M60 56h100"]],
          "hair-wound" => [[:hair, "M54 24q56 14 112 0M54 36q56 14 112 0M54 48q56 14 112 0M54 60q56 12 112 0"]],
          "clogged" => [[:fill, "M62 30q50-14 96 6v32h-96z"]],
          "torn" => [[:crack, "M96 24l16 14-12 8 22 16"]]
        }.freeze
      end
    end
  end
end
