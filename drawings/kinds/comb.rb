# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A comb in each of its states.
      class Comb < Gauges::Pictured
        PICTURES = {
          "whole" => [[:line, "M50 20h120v12h-120z"], [:thin, "M58 32v30M70 32v30M82 32v30M94 32v30M106 32v30M118 " \
                                                              "32v30M130 32v30M142 32v30M154 32v30M162 32v30"]],
          "hair-wound" => [[:hair, "M54 40q56 12 112 0M54 50q56 12 112 0M54 60q56 10 112 0"]],
          "broken" => [[:line, "M50 20h120v12h-120z"], [:thin, "M58 32v30M70 32v30M82 32v8M94 32v10M106 32v7M118 " \
                                                               "32v30M130 32v30M142 32v9M154 32v30M162 32v30"]]
        }.freeze
      end
    end
  end
end
