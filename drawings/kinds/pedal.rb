# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A pedal in each of its states.
      class Pedal < Gauges::Pictured
        PICTURES = {
          "clicks" => [[:line, "M30 64h160M60 64l16-24h68l16 24"], [:fill, "M84 24h52l8 14h-68z"]],
          "stiff" => [[:specks]],
          "broken" => [[:line, "M30 64h160M60 64l16-24h68l16 24"], [:fill, "M84 24h20l-6 14h-22z"],
                       [:crack, "M108 22l-6 8 8 4-6 8"]]
        }.freeze
      end
    end
  end
end
