# frozen_string_literal: true

module UprightBench
  module Papers
    class TraySheet
      # The outline of a step with what holds it, as on the screen, as wide as there is room.
      class Plan
        RADIUS = 2.2 * Paper::MM

        # @param step [Core::Sheets::Step]
        # @param most [Numeric] points, either way
        def initialize(step, most)
          @step = step
          sides = Core::Strip::Picture::SIZES.fetch(step.outline)
          scale = most / sides.max
          @width, @height = sides.map { |side| side * scale }
        end

        # @return [Numeric] points; none where nobody said where anything sits
        def height
          shown? ? @height : 0
        end

        def draw(pdf, left, top)
          return unless shown?

          outline(pdf, left, top)
          @step.fasteners.each_with_index do |held, row|
            held.at.each do |x, y|
              point(pdf, held, row, [left + (@width * x / 100.0), top - (@height * y / 100.0)])
            end
          end
        end

        private

        def shown?
          @step.fasteners.any? { |held| held.at.any? }
        end

        def outline(pdf, left, top)
          if @step.outline == "round"
            pdf.stroke_circle([left + (@width / 2), top - (@height / 2)], (@width / 2) - 2)
          else
            pdf.stroke_rounded_rectangle([left + 2, top - 2], @width - 4, @height - 4, 6)
          end
        end

        def point(pdf, held, row, at)
          pdf.stroke_circle(at, RADIUS)
          Turned.draw(pdf, held.shape, at, RADIUS)
          pdf.draw_text(Core::Strip::Picture.letter(row), at: [at[0] + RADIUS + 1, at[1] + 1], size: 7)
        end
      end
    end
  end
end
