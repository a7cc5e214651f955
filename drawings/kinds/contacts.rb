# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # Contacts in each of their states.
      class Contacts < Gauges::Pictured
        PICTURES = {
          "bright" => [[:line, "M60 22h36v36h-36zM124 22h36v36h-36z"]],
          "dirty" => [[:specks]],
          "burnt" => [[:fill, "M60 22h36v36h-36zM124 22h36v36h-36z"], [:crack, "M66 28l24 24M130 28l24 24"]]
        }.freeze
      end
    end
  end
end
