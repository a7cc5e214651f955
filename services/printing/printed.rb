# frozen_string_literal: true

module UprightBench
  module Services
    # What the makers of long papers share: parts of so many pages.
    class Printed
      PART_PAGES = 200

      # @return [Integer]
      def parts
        [(pages / PART_PAGES.to_f).ceil, 1].max
      end

      private

      def shop
        @shop ||= Models::Shop.the
      end

      def shop_line
        "#{shop.name}, #{shop.phone}"
      end

      def today
        @today ||= Config::Zone.date(Time.now)
      end

      # The rows of one part.
      # @param rows [Sequel::Dataset] in order
      def slice(rows, part, rows_a_page: 1)
        size = PART_PAGES * rows_a_page
        rows.limit(size, part * size).all
      end
    end
  end
end
