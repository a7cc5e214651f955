# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A sensor in each of its states.
      class Sensor < Gauges::Pictured
        PICTURES = {
          "answers" => [[:line, "M50 20h60v44h-60zM130 42h40"], [:thin, "M176 32q8 10 0 20M186 26q12 16 0 32"]],
          "silent" => [[:line, "M50 20h60v44h-60zM130 42h40"], [:crack, "M178 32l16 20M194 32l-16 20"]]
        }.freeze
      end
    end
  end
end
