# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # Guide bars in each of their states.
      class GuideBars < Gauges::Pictured
        PICTURES = {
          "straight" => [[:line, "M60 14v56M90 14v56M120 14v56M150 14v56"]],
          "bent" => [[:line, "M60 14v56M90 14q24 28 0 56M120 14v56M150 14v56"]],
          "missing" => [[:line, "M60 14v56M120 14v56M150 14v56"], [:ghost, "M90 14v56"]]
        }.freeze
      end
    end
  end
end
