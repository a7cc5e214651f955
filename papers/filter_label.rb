# frozen_string_literal: true

module UprightBench
  module Papers
    # The label stuck on a new filter, 62 × 29 mm: fitted when, next when, in which machine.
    class FilterLabel < Label
      SIZE_MM = [62, 29].freeze

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
        draw_each(@labels) { |label| draw_label(label) }
      end

      def draw_label(label) # rubocop:disable Metrics/AbcSize -- one label, line by line
        at = ->(down) { { at: [0, pdf.bounds.top - down], width: 37 * MM } }
        line(label.fetch(:part), **at.call(0), size: 10, style: :bold, height: 13)
        line(label.fetch(:machine), **at.call(14), size: 8, height: 11)
        line("fitted #{date(label.fetch(:fitted_on))}", **at.call(28), size: 9, height: 12)
        line(next_words(label[:due_on]), **at.call(41), size: 12, style: :bold, height: 15)
        line(@shop, at: [0, 9], width: 37 * MM, size: 6, height: 9)
        qr(label.fetch(:code), at: [38 * MM, pdf.bounds.top - 2], side: 19 * MM)
      end

      def next_words(due_on)
        due_on ? "next #{date(due_on)}" : ""
      end

      def date(day)
        Core::Units::Day.words(day)
      end
    end
  end
end
