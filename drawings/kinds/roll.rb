# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A roll in each of its states, with its bristles as they were found: whole, worn short, or torn out in places.
      class Roll < Gauges::Pictured
        BODY = "M40 34h140v18h-140z"
        TUFTS = [52, 72, 92, 112, 132, 152, 168].freeze # where they stand
        LONG = 12
        TUFT = { nil => [LONG, TUFTS], "full" => [LONG, TUFTS], "worn" => [4, TUFTS],
                 "missing" => [LONG, TUFTS - [92, 112, 132]] }.freeze

        PICTURES = {
          "free" => [[:line, BODY], [:tufts]],
          "drags" => [[:hair, "M42 26q4 16 0 34M48 26q4 16 0 34M172 26q4 16 0 34M178 26q4 16 0 34"]],
          "stuck" => [[:hair, "M42 22q6 20 0 42M50 22q6 20 0 42M58 22q6 20 0 42M160 22q6 20 0 42M168 22q6 20 0 " \
                              "42M176 22q6 20 0 42M90 24l40 36M100 60l34-36"]]
        }.freeze

        LAMP = "M200 34a9 9 0 1 0 .1 0z"
        LIGHT = { "fine" => [LAMP, "gauge-line"],
                  "shows a fault" => ["#{LAMP}M200 38v6M200 47v2", "gauge-crack"] }.freeze

        def label
          [super, ("bristles #{bristles}" if bristles), ("its light #{light == 'fine' ? 'is fine' : light}" if light)]
            .compact.join(", ")
        end

        def content
          super + (light ? path(*LIGHT.fetch(light)) : "")
        end

        private

        def bristles
          @observed[:bristles]
        end

        def light
          @observed[:light]
        end

        # The drawing shows in ink the bristles that somebody has looked at, whether anybody turned the roll or not.
        def layer(how, shape)
          return super unless how == :tufts

          long, tufts = TUFT.fetch(bristles)
          shape = tufts.map { |x| "M#{x} 34v-#{long}M#{x} 52v#{long}" }.join
          path(shape, found || bristles ? "gauge-line" : "gauge-ghost")
        end
      end
    end
  end
end
