# frozen_string_literal: true

module UprightBench
  module Papers
    class TraySheet
      # What is laid on a lane: every screw from the side at its true size, a ring for a clip ring, a box to tick for a
      # gasket or a plug.
      class Laid
        PICTURE = Core::Strip::Picture
        ROW = 13 # points, of a line of words
        GAP = 2.5 * Paper::MM
        RING = 10 * Paper::MM
        BOX = 4 * Paper::MM

        # @param width [Numeric] points
        def initialize(pdf, step, pieces, width:)
          @pdf = pdf
          @step = step
          @pieces = pieces.to_h { |piece| [piece.key, piece] }
          @width = width
        end

        # @return [Numeric] points
        def height
          rows.sum { |held, _, count| ROW + (lines(held, count) * (tall(held) + GAP)) } + (others.size * ROW) + GAP
        end

        # @param line [#call] as Paper#line
        def draw(left, top, line)
          y = top
          rows.each do |held, letter, count|
            line.call("#{letter}  #{count} × #{words(held)}", at: [left, y], width: @width, size: 9)
            y = draw_all(held, count, left, y - ROW)
          end
          others.each { |piece| y = box(piece, left, y, line) }
        end

        private

        # @return [Array<Array(Core::Sheets::Fastener, String, Integer)>] with letter and count
        def rows
          held = @step.fasteners.each_with_index.select { |fastener, row| @pieces.key?("fastener-#{row}") && fastener }
          held.map { |fastener, row| [fastener, PICTURE.letter(row), @pieces["fastener-#{row}"].count] }
        end

        def others
          @pieces.each_value.reject { |piece| piece.key.start_with?("fastener-") }
        end

        def words(held)
          held.words.delete_prefix("#{held.count} × ")
        end

        def wide(held)
          PICTURE.screw?(held) ? PICTURE.across_mm(held) * Paper::MM : RING
        end

        def tall(held)
          PICTURE.screw?(held) ? (held.length_mm + PICTURE.head_mm(held)) * Paper::MM : RING
        end

        def a_line(held)
          [(@width / (wide(held) + GAP)).floor, 1].max
        end

        def lines(held, count)
          (count / a_line(held).to_f).ceil
        end

        def draw_all(held, count, left, top)
          count.times do |index|
            line, place = index.divmod(a_line(held))
            one(held, left + (place * (wide(held) + GAP)), top - (line * (tall(held) + GAP)))
          end
          top - (lines(held, count) * (tall(held) + GAP))
        end

        def one(held, left, top)
          return ring(left, top) unless PICTURE.screw?(held)

          head = PICTURE.head_mm(held) * Paper::MM
          thick = PICTURE.thick_mm(held) * Paper::MM
          @pdf.stroke_rectangle([left, top], wide(held), head)
          @pdf.stroke_rectangle([left + ((wide(held) - thick) / 2), top - head], thick, held.length_mm * Paper::MM)
        end

        def ring(left, top)
          @pdf.stroke_circle([left + (RING / 2), top - (RING / 2)], (RING / 2) - 1)
        end

        def box(piece, left, top, line)
          @pdf.stroke_rectangle([left, top - 1], BOX * 0.7, BOX * 0.7)
          line.call(piece.words, at: [left + BOX, top], width: @width - BOX, size: 9)
          top - ROW
        end
      end
    end
  end
end
