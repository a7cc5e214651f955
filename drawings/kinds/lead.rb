# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A lead in each of its states.
      class Lead < Gauges::Pictured
        PICTURES = {
          "sound" => [[:line, "M20 44q24-36 48 0t48 0t48 0h30M194 36v16M194 40h12M194 48h12"]],
          "damaged" => [[:crack, "M104 26l8 34M112 24l8 34"]]
        }.freeze
      end
    end
  end
end
