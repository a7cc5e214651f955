# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # Wheels in each of their states.
      class Wheels < Gauges::Pictured
        PICTURES = {
          "turn" => [[:line, "M60 44m-20 0a20 20 0 1 0 40 0a20 20 0 1 0-40 0M160 44m-20 0a20 20 0 1 0 40 0a20 20 0 1 " \
                             "0-40 0"], [:thin, "M60 44h100"]],
          "drag" => [[:hair, "M74 36q6 8 0 18M82 36q6 8 0 18M138 36q6 8 0 18M146 36q6 8 0 18"], [:specks]],
          "broken" => [[:line, "M60 44m-20 0a20 20 0 1 0 40 0a20 20 0 1 0-40 0M160 24a20 20 0 1 1-18 12"],
                       [:crack, "M158 20l-10 16 12 8"]]
        }.freeze
      end
    end
  end
end
