# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A tank in each of its states.
      class Tank < Gauges::Pictured
        PICTURES = {
          "clean" => [[:line, "M60 20v44q0 6 6 6h88q6 0 6-6v-44M54 16h112"],
                      [:thin, "M62 46q12-6 24 0t24 0t24 0t24 0"]],
          "dirty" => [[:specks]],
          "gapes" => [[:line, "M60 24v40q0 6 6 6h88q6 0 6-6v-40M52 18l112-14"]],
          "leaks" => [[:crack, "M160 52l12-4M160 58h14M160 64l12 4"]]
        }.freeze
      end
    end
  end
end
