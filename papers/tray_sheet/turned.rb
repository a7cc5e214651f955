# frozen_string_literal: true

module UprightBench
  module Papers
    class TraySheet
      # The shape that a driver turns, within a circle.
      module Turned
        REACH = 0.6 # of the radius

        module_function

        # @param shape [Symbol] as Core::Sheets::Fastener#shape
        # @param at [Array(Numeric, Numeric)] the middle, in points
        def draw(pdf, shape, at, radius)
          reach = radius * REACH
          case shape
          when :cross then lines(pdf, at, [[-reach, 0, reach, 0], [0, -reach, 0, reach]])
          when :slot then lines(pdf, at, [[-reach, 0, reach, 0]])
          when :hex then pdf.stroke_polygon(*corners(at, 6) { reach })
          when :star then pdf.fill_polygon(*corners(at, 12) { |corner| corner.even? ? reach : reach * 0.55 })
          end
        end

        def lines(pdf, at, ends)
          ends.each do |from_x, from_y, to_x, to_y|
            pdf.stroke_line([at[0] + from_x, at[1] + from_y], [at[0] + to_x, at[1] + to_y])
          end
        end

        def corners(at, count)
          Array.new(count) do |corner|
            angle = 2 * Math::PI * corner / count
            [at[0] + (yield(corner) * Math.cos(angle)), at[1] + (yield(corner) * Math.sin(angle))]
          end
        end
        private_class_method :lines, :corners
      end
    end
  end
end
