# frozen_string_literal: true

module UprightBench
  module English
    # A sentence for each reason that the core gives, as the shop's staff read it. A text may come in pieces: a piece
    # whose figures are missing is left out, and what is first then begins without a comma.
    #
    #   Sentences.of(Core::Reason.of(:bag_room_left, fill: 40, limit: 80))  # => "40 % full; changed at 80 %."
    module Sentences
      TEXTS = { written: "{text}", **Clocks::TEXTS, **Verdicts::TEXTS, **Kinds.texts(:to_staff), **Fits::TEXTS,
                **Drying::TEXTS, **Jobs::TEXTS, **Strip::TEXTS, **FinalTests::TEXTS }.freeze
      FIELD = /\{([a-z_]+)\}/

      module_function

      # @param reason [Core::Reason]
      # @param unit [Symbol] in which lengths are written
      # @return [String]
      # @raise [KeyError] for a reason without a text, or a text that is whole and lacks a figure
      def of(reason, unit: :mm)
        text = TEXTS.fetch(reason.key)
        figures = Figures.new(reason.figures, unit)
        return fill(text, figures) if text.is_a?(String)

        text.select { |piece| figures.all?(names(piece)) }.map { |piece| fill(piece, figures) }.join.delete_prefix(", ")
      end

      # @param reasons [Array<Core::Reason>]
      # @return [Array<String>]
      def each_of(reasons, unit: :mm)
        reasons.map { |reason| of(reason, unit: unit) }
      end

      # @return [String] in a row
      def row_of(reasons, unit: :mm)
        each_of(reasons, unit: unit).join("; ")
      end

      # @return [Array<Symbol>] of the figures that a text asks for
      def names(text)
        text.scan(FIELD).map { |(name)| name.to_sym }
      end

      # @return [String] a text with its figures in it
      def fill(text, figures)
        text.gsub(FIELD) { figures.words(Regexp.last_match(1).to_sym) }
      end
    end
  end
end
