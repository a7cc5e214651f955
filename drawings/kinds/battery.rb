# frozen_string_literal: true

module UprightBench
  module Drawings
    module Kinds
      # A pack, bulging when it is swollen; inside it the run time measured as a share of its run time when new.
      class Battery < Gauges::Base
        SOUND = "M50 14h120v50h-120zM170 30h8v18h-8"
        SWOLLEN = "M50 14q60-16 120 0q12 25 0 50q-60 16-120 0q-12-25 0-50zM178 30h8v18h-8"
        NAMES = %i[run_minutes run_minutes_full].freeze

        def label
          state = @observed[:state] || "state not looked at"
          if share
            "#{@position.name}, #{state}, runs #{share.floor} % of its time when new"
          else
            "#{@position.name}, #{state}"
          end
        end

        def content
          level = (share || 0).clamp(0, 100) * 1.16
          Svg.tag(:rect, x: 52, y: 17, width: level, height: 44, class: "dust") +
            path(@observed[:state] == "swollen" ? SWOLLEN : SOUND, "wall") +
            (if rated?
               limit_line(52 + (@policy.battery_limit_percent * 1.16), 10,
                 52 + (@policy.battery_limit_percent * 1.16), 68)
             else
               ""
             end) + foot(words)
        end

        private

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

          @observed[:state] || "?"
        end
      end
    end
  end
end
