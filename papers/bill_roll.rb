# frozen_string_literal: true

module UprightBench
  module Papers
    # The same on a till roll, 80 mm wide; as long as it takes, for the printer cuts where it ends.
    class BillRoll < Bill
      WIDTH_MM = 80
      MARGIN_MM = 4
      LONGEST_MM = 2000
      ROW = 13
      NOTE = 62

      # Written twice: on a page that is longer than any, to see how long it gets, and on one of that length.
      def make(**, &)
        super
        super
      end

      private

      def size_mm
        [WIDTH_MM, @long_mm || LONGEST_MM]
      end

      def draw
        super
        used_mm = ((pdf.bounds.top - @y) / MM).ceil
        @long_mm = used_mm + (2 * MARGIN_MM) + 2 if @long_mm.nil?
      end
    end
  end
end
