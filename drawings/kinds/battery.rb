# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A pack, bulging when it is swollen, and its charging light beside it. Inside it stands the run time that was
      # measured, as a share of its run time when new; where none was, cells: all of them of a sound pack, one of a weak
      # one.
      class Battery < Gauges::Base
        SOUND = "M50 14h120v50h-120zM170 30h8v18h-8"
        SWOLLEN = "M50 14q60-16 120 0q12 25 0 50q-60 16-120 0q-12-25 0-50zM178 30h8v18h-8"
        NAMES = %i[run_minutes run_minutes_full].freeze
        LEFT = 52
        PX_A_PERCENT = 1.16
        CELLS = 4
        CELL = 22
        CHARGED = { "sound" => CELLS, "weak" => 1 }.freeze
        LIGHT = { "steady" => ["M22 30a9 9 0 1 0 .1 0z", "gauge-line"],
                  "flashes red" => ["M22 30a9 9 0 1 0 .1 0zM22 24v-8M8 39h-6M36 39h6M12 29l-5-5M32 29l5-5",
                                    "gauge-crack"] }.freeze

        def label
          ["#{@position.name}, #{state || 'state not looked at'}",
           ("runs #{share.floor} % of its time when new" if share),
           ("its light #{light == 'steady' ? 'is steady' : light}" if light)].compact.join(", ")
        end

        def content
          inside + path(state == "swollen" ? SWOLLEN : SOUND, "wall") + limit + lamp + foot(words)
        end

        private

        def state
          @observed[:state]
        end

        def light
          @observed[:charging]
        end

        def inside
          return run_time if share

          (0...CELLS).map do |cell|
            Svg.tag(:rect, x: LEFT + 8 + (cell * (CELL + 5)), y: 22, width: CELL, height: 34,
              class: cell < CHARGED.fetch(state, 0) ? "dust" : "gauge-ghost")
          end.join
        end

        def run_time
          Svg.tag(:rect, x: LEFT, y: 17, width: share.clamp(0, 100) * PX_A_PERCENT, height: 44, class: "dust")
        end

        def limit
          return "" unless rated?

          x = LEFT + (@policy.battery_limit_percent * PX_A_PERCENT)
          limit_line(x, 10, x, 68)
        end

        def lamp
          light ? path(*LIGHT.fetch(light)) : ""
        end

        def rated?
          NAMES.any? { |name| @position.measures.key?(name.to_s) }
        end

        def share
          NAMES.filter_map do |name|
            @observed[name] * 100.0 / @position.measures[name.to_s] if @observed[name] && @position.measures[name.to_s]
          end.min
        end

        def words
          return "#{share.floor} % of new" if share

          state || "?"
        end
      end
    end
  end
end
