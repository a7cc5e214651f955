# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A window in each of its states.
      class Window < Gauges::Pictured
        PICTURES = {
          "clear" => [[:line, "M50 18q60-14 120 0v44h-120z"]],
          "dirty" => [[:specks]],
          "cracked" => [[:crack, "M80 14l14 18-8 10 20 20M94 32l26-4"]]
        }.freeze
      end
    end
  end
end
