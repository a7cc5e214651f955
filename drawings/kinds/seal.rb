# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A seal in each of its states.
      class Seal < Gauges::Pictured
        PICTURES = {
          "clean" => [[:line, "M20 16h180M20 62h180"], [:fill, "M90 18q20 42 40 0zM90 18h40v44h-40z"]],
          "dirty" => [[:specks]],
          "lifted" => [[:line, "M20 16h180M20 62h180"], [:fill, "M120 10q20 30 44 2l-6 38-38 4z"]],
          "binds" => [[:hair, "M80 24q30 6 60 0M80 54q30-6 60 0"]],
          "torn" => [[:line, "M20 16h180M20 62h180"], [
            :fill, "M90 18h16l-6 14 8 10-10 20h-8zM118 18h12v44h-14l6-16-8-12z"
          ]]
        }.freeze
      end
    end
  end
end
