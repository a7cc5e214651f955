# frozen_string_literal: true

module UprightBench
  module Papers
    # The label stuck on a new filter, 62 × 29 mm: fitted when, next when, in which machine.
    class FilterLabel < Paper
      SIZE_MM = [62, 29].freeze
      MARGIN_MM = 2

      # @param labels [Array<Hash>] part, machine, fitted_on, due_on (nil when nothing is clocked), code
      def initialize(shop:, labels:)
        @shop = shop
        @labels = labels
        super()
      end

      private

      def title
        "Filter labels"
      end

      def draw
        @labels.each_with_index do |label, index|
          pdf.start_new_page if index.positive?
          draw_label(label)
        end
      end

      def draw_label(label)
        top = pdf.bounds.top
        width = 37 * MM
        line(label.fetch(:part), at: [0, top], width: width, size: 10, style: :bold, height: 13)
        line(label.fetch(:machine), at: [0, top - 14], width: width, size: 8, height: 11)
        line("fitted #{date(label.fetch(:fitted_on))}", at: [0, top - 28], width: width, size: 9, height: 12)
        line(label[:due_on] ? "next #{date(label[:due_on])}" : "", at: [0, top - 41], width: width, size: 12,
          style: :bold, height: 15)
        line(@shop, at: [0, 9], width: width, size: 6, height: 9)
        qr(label.fetch(:code), at: [38 * MM, top - 2], side: 19 * MM)
      end

      def date(day)
        Core::Units::Day.words(day)
      end
    end
  end
end
