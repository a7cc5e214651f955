# frozen_string_literal: true

module UprightBench
  module Drawings
    # A machine's ribbon for its owner, who does not know the letters of the marks: the places that matter are named in
    # words below it, each with its number on the ribbon.
    class CustomerRibbon
      QUIET = %i[leave unseen unfitted].freeze
      WIDTH = 360
      STEP_Y = 26

      # @param sheet [Core::Sheets::Sheet]
      # @param marks [Hash{String=>Symbol}] position => mark
      # @param words [Hash{String=>String}] position => what is said of it; the place and its mark where left out
      def initialize(sheet:, marks:, words: {})
        @sheet = sheet
        @marks = marks
        @words = words
      end

      # @return [String] a whole SVG
      def render
        Svg.image(WIDTH, height, band + dots + names, label: label, class: "customer-ribbon")
      end

      private

      # The places that matter, in the order of the air.
      def loud
        @loud ||= @sheet.walk.reject { |place| QUIET.include?(@marks.fetch(place.key, :unseen)) }
      end

      def height
        58 + (loud.size * STEP_Y)
      end

      def band
        Svg.tag(:path, d: "M4 40L16 34H340L356 28L340 22H16L4 16z", class: "band")
      end

      def dots
        places = @sheet.walk
        step = 320.0 / [places.size, 1].max
        places.each_with_index.map { |place, index| dot(place, 22 + (step * (index + 0.5))) }.join
      end

      def dot(place, x)
        number = loud.index(place)
        return Svg.tag(:circle, cx: x, cy: 28, r: 3, class: "quiet-dot") unless number

        Svg.tag(:circle, cx: x, cy: 28, r: 11, class: "loud-dot") +
          Svg.text(number + 1, x: x, y: 33, class: "loud-number", text_anchor: "middle")
      end

      def names
        loud.each_with_index.map do |place, index|
          y = 68 + (index * STEP_Y)
          Svg.text("#{index + 1}  #{said(place)}", x: 8, y: y, class: "loud-name")
        end.join
      end

      def said(place)
        @words.fetch(place.key) { "#{place.name}: #{Mark::WORDS.fetch(@marks.fetch(place.key))}" }
      end

      def label
        loud.empty? ? "Air path of your machine: nothing to do" : loud.map { |place| said(place) }.join(", ")
      end
    end
  end
end
