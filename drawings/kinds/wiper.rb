# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A wiper in each of its states.
      class Wiper < Gauges::Pictured
        PICTURES = {
          "supple" => [[:line, "M20 72h180"], [:fill, "M60 16h100v14h-100zM102 30h16l-4 40h-8z"]],
          "dirty" => [[:specks], [:hair, "M84 68q26-14 52 0"]],
          "worn" => [[:line, "M20 72h180"], [:fill, "M60 16h100v14h-100zM102 30h16l-2 14-5-4-3 10-5-6z"]]
        }.freeze
      end
    end
  end
end
