# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A motor in each of its states.
      class Motor < Gauges::Pictured
        PICTURES = {
          "even" => [[:line, "M110 40m-30 0a30 30 0 1 0 60 0a30 30 0 1 0-60 0"],
                     [:thin, "M110 40m-12 0a12 12 0 1 0 24 0a12 12 0 1 0-24 0"]],
          "high-pitched" => [[:hair, "M150 26l6 8 6-8 6 8 6-8 6 8M150 44l6 8 6-8 6 8 6-8 6 8"]],
          "rough" => [[:crack, "M148 40l10-14 6 22 10-26 8 30"]],
          "burnt smell" => [[:crack, "M96 26l28 28M124 26l-28 28M86 8q6-6 0-8M110 6q6-6 0-8M134 8q6-6 0-8"]]
        }.freeze
      end
    end
  end
end
