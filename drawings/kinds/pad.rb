# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A pad in each of its states.
      class Pad < Gauges::Pictured
        PICTURES = {
          "clean" => [[:line, "M50 18h120v48h-120z"], [:thin, "M50 30h120M50 42h120M50 54h120"]],
          "dirty" => [[:specks]],
          "worn" => [[:crack, "M94 30q20-10 32 8q-8 20-30 12q-12-8-2-20z"]]
        }.freeze
      end
    end
  end
end
