# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # An air path in each of its states.
      class Path < Gauges::Pictured
        PICTURES = {
          "clear" => [[:line, "M20 14h90q40 0 40 34v24M20 46h84q12 0 12 12v14"]],
          "partly" => [[:fill, "M84 46q14-22 32-4q6 12-8 8z"]],
          "blocked" => [[:fill, "M86 16q30-6 58 22l-28 16q-10-10-32-8q-8-16 2-30z"]]
        }.freeze
      end
    end
  end
end
