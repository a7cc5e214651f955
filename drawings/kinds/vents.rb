# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # Vents in each of their states.
      class Vents < Gauges::Pictured
        PICTURES = {
          "open" => [[:line, "M56 18h16v48h-16zM88 18h16v48h-16zM120 18h16v48h-16zM152 18h16v48h-16z"]],
          "dusty" => [[:specks]],
          "blocked" => [[:fill, "M56 18h16v48h-16zM88 18h16v48h-16zM120 18h16v48h-16zM152 18h16v48h-16z"]]
        }.freeze
      end
    end
  end
end
