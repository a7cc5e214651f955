# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A side brush in each of its states.
      class SideBrush < Gauges::Pictured
        PICTURES = {
          "straight" => [[:line, "M110 42m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0"],
                         [:thin, "M116 36l40-22M104 36l-40-22M110 50v26"]],
          "hair-wound" => [[:hair, "M98 42q12-22 24 0q-12 22-24 0M96 36q14-12 28 10M98 52q16 6 24-12"]],
          "bent" => [[:line, "M110 42m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0"],
                     [:thin, "M116 36q20-16 24-26M104 36q-20 4-44-8M110 50q18 10 26 26"]],
          "missing" => [[:ghost, "M110 42m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0M116 36l40-22M104 36l-40-22M110 50v26"]]
        }.freeze
      end
    end
  end
end
