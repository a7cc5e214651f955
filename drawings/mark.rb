# frozen_string_literal: true

module UprightBench
  module Drawings
    # The marks of a verdict: told by shape and letter, so that they read in black and white.
    module Mark
      # Each in a box of 32 by 32. An arch to leave alone, bristles to clean, a basin to wash, two squares to
      # replace one by another, a pointing hand-over to refer.
      SHAPES = {
        leave: "M4 28V15a12 12 0 0 1 24 0v13z",
        clean: "M4 4h24v17l-4 7-4-7-4 7-4-7-4 7-4-7z",
        wash: "M2 9q7 6 14 0t14 0v6a14 14 0 0 1-28 0z",
        replace: "M3 3h18v8h8v18H11v-8H3z",
        refer: "M2 9h14V2l14 14-14 14v-7H2z",
        unseen: "M16 4a12 12 0 1 0 .01 0z",
        unfitted: "M4 14h24v4H4z"
      }.freeze
      LETTERS = Core::Findings::VerdictKind::ALL.to_h { |kind| [kind.key, kind.letter] }.freeze
      # What is drawn where there is no verdict.
      NONE = { unseen: "not looked at", unfitted: "not fitted" }.freeze
      WORDS = Core::Findings::VerdictKind::ALL.to_h { |kind| [kind.key, kind.words] }.merge(NONE).freeze
      LETTER_X = { refer: 14 }.freeze

      @images = {} # [mark, class] => SVG; a page shows dozens of the same few
      @inner = {}

      # @param mark [Symbol]
      # @return [String] a whole SVG
      def self.image(mark, css: "vmark")
        @images[[mark, css]] ||= Svg.image(32, 32, inner(mark), label: WORDS.fetch(mark), class: "#{css} mark-#{mark}")
          .freeze
      end

      # @return [String] its content alone, for use inside another drawing
      def self.inner(mark)
        @inner[mark] ||= drawn(mark).freeze
      end

      def self.drawn(mark)
        shape = Svg.tag(:path, d: SHAPES.fetch(mark), class: "mark-shape")
        letter = LETTERS[mark]
        return shape unless letter

        shape + Svg.text(letter, x: LETTER_X.fetch(mark, 16), y: mark == :leave ? 24 : 21.5, class: "mark-letter",
          text_anchor: "middle")
      end
      private_class_method :drawn
    end
  end
end
