# frozen_string_literal: true

module UprightBench
  module Drawings
    # A ribbon in miniature, for a line of a list: a small mark for each place in the order of the walk.
    class MiniRibbon
      STEP = 18
      HEIGHT = 24
      SCALE = 0.5

      # @param sheet [Core::Sheets::Sheet]
      # @param marks [Hash{String=>Symbol}] position => mark
      def initialize(sheet:, marks:)
        @sheet = sheet
        @marks = marks
      end

      # @return [String] a whole SVG
      def render
        places = @sheet.walk.each_with_index.map { |place, index| mark(@marks.fetch(place.key, :unseen), index) }
        band = Svg.tag(:rect, x: 0, y: 9, width: width, height: 6, class: "band")
        Svg.image(width, HEIGHT, band + places.join, label: label, class: "mini-ribbon", width: width, height: HEIGHT)
      end

      private

      def width
        (@sheet.positions.size * STEP) + 4
      end

      def mark(name, index)
        Svg.tag(:g, Mark.inner(name), transform: "translate(#{(index * STEP) + 2} 4) scale(#{SCALE})",
          class: "mark-#{name}")
      end

      # Only what is not to be left alone is worth hearing.
      def label
        due = @sheet.walk.filter_map do |place|
          "#{place.name.downcase} #{Mark::WORDS.fetch(@marks[place.key])}" if @marks.fetch(place.key, :leave) != :leave
        end
        due.empty? ? "Nothing due soon" : due.join(", ")
      end
    end
  end
end
