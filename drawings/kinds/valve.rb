# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A valve in each of its states.
      class Valve < Gauges::Pictured
        PICTURES = {
          "closes" => [[:line, "M30 22h160M30 58h160M92 22v-8h36v8"], [:fill, "M92 14h36v8h-36z"]],
          "sticks" => [[:line, "M30 22h60M130 22h60M30 58h160"], [:fill, "M118 12h36v8h-36z"], [:specks]],
          "broken" => [[:line, "M30 22h60M130 22h60M30 58h160"], [:crack, "M92 14l12 8-8 6 14 10"]]
        }.freeze
      end
    end
  end
end
