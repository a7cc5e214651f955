# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A roll in each of its states.
      class Roll < Gauges::Pictured
        PICTURES = {
          "free" => [
            [:line, "M40 34h140v18h-140z"],
            [:thin, "M52 34v-12M72 34v-12M92 34v-12M112 34v-12M132 34v-12M152 34v-12M168 34v-12M52 52v12M72 " \
                    "52v12M92 52v12M112 52v12M132 52v12M152 52v12M168 52v12"]
          ],
          "drags" => [[:hair, "M42 26q4 16 0 34M48 26q4 16 0 34M172 26q4 16 0 34M178 26q4 16 0 34"]],
          "stuck" => [[:hair, "M42 22q6 20 0 42M50 22q6 20 0 42M58 22q6 20 0 42M160 22q6 20 0 42M168 22q6 20 0 " \
                              "42M176 22q6 20 0 42M90 24l40 36M100 60l34-36"]]
        }.freeze
      end
    end
  end
end
