# frozen_string_literal: true

module UprightBench
  module Papers
    # The sheet that lies under a strip-down: a lane for each step in the order of opening, what holds it where it sits,
    # and every screw drawn at its true size, so that each is laid on its own drawing and one that is missing shows.
    class TraySheet < Paper
      SHEET = :whole
      MARGIN_MM = 12
      PLAN_MM = 50 # of the drawing at the left, at most
      GAP = 3 * MM
      LAID_LEFT = (PLAN_MM * MM) + GAP
      HEAD = 9 * MM # of a lane, above what is laid
      HEAD_WIDTH = 150 * MM
      HOW = "Print at 100 %: each screw is as long as its drawing. Lay it there until it goes back in."

      # @param number [Integer] the job's
      # @param about [String] machine and customer
      # @param date [String]
      # @param lanes [Array<Array(Core::Sheets::Step, Array<Core::Strip::Piece>)>] in the order of opening
      def initialize(number:, about:, date:, lanes:)
        @number = number
        @about = about
        @date = date
        @lanes = lanes
        super()
      end

      private

      def title
        "Tray sheet #{@number}"
      end

      def draw
        head
        @lanes.each_with_index { |(step, pieces), index| lane(step, pieces, index + 1) }
      end

      def head
        top = pdf.bounds.top
        qr("J#{@number}", at: [pdf.bounds.width - (18 * MM), top], side: 18 * MM)
        line("Tray #{@number}", at: [0, top], width: 120 * MM, size: 22, style: :bold, height: 26)
        line(@about, at: [0, top - 28], width: HEAD_WIDTH, size: 11)
        line("#{@date}. #{HOW}", at: [0, top - 43], width: HEAD_WIDTH, size: 9)
        @y = top - (22 * MM)
      end

      def lane(step, pieces, place)
        plan = Plan.new(step, PLAN_MM * MM)
        laid = Laid.new(pdf, step, pieces, width: pdf.bounds.width - LAID_LEFT)
        height = [laid.height, plan.height].max
        lane_head("#{place}. #{step.name}", height)
        plan.draw(pdf, 0, @y)
        laid.draw(LAID_LEFT, @y, method(:line))
        @y -= height + GAP
      end

      # @param height [Numeric] of what follows on the same page
      def lane_head(words, height)
        begin_page if @y < height + HEAD
        pdf.stroke_horizontal_line(0, pdf.bounds.width, at: @y)
        line(words, at: [0, @y - 4], width: pdf.bounds.width, size: 12, style: :bold)
        @y -= HEAD
      end

      def begin_page
        pdf.start_new_page
        @y = pdf.bounds.top
      end
    end
  end
end
