# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A dock in each of its states.
      class Dock < Gauges::Pictured
        PICTURES = {
          "firm" => [[:line, "M70 70h80l-10-14h-60zM96 56v-46h28v46"]],
          "dusty" => [[:specks]],
          "loose" => [[:line, "M70 70h80l-10-14h-60zM92 58l-10-46 28-6 10 46"], [:crack, "M88 60l8 6M118 52l8 6"]]
        }.freeze
      end
    end
  end
end
