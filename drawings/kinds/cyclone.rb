# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A cyclone in each of its states.
      class Cyclone < Gauges::Pictured
        PICTURES = {
          "clear" => [[:line, "M46 14h36l-12 50h-12zM92 14h36l-12 50h-12zM138 14h36l-12 50h-12z"]],
          "dusty" => [[:specks]],
          "packed" => [[:fill, "M52 36h24l-6 28h-12zM98 36h24l-6 28h-12zM144 36h24l-6 28h-12z"]]
        }.freeze
      end
    end
  end
end
