# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A flap in each of its states.
      class Flap < Gauges::Pictured
        PICTURES = {
          "closes" => [[:line, "M40 60h140"], [:fill, "M44 50h126v8h-126z"],
                       [:thin, "M44 54m-8 0a8 8 0 1 0 16 0a8 8 0 1 0-16 0"]],
          "gapes" => [[:line, "M40 60h140"], [:fill, "M44 50l122-30 3 8-122 30z"], [:specks]],
          "jammed" => [[:line, "M40 60h140"], [:fill, "M44 50l70-40 5 7-68 42z"], [:hair, "M90 56q20-30 50-6"]],
          "broken" => [[:line, "M40 60h140"], [:fill, "M44 50h50l6 8h-56zM120 30l48 14-3 8-50-12z"]]
        }.freeze
      end
    end
  end
end
