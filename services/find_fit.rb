# frozen_string_literal: true

module UprightBench
  module Services
    # What somebody at the shelf asks for, as they type: a model, a number or a name of a part, a barcode, or two measured sides.
    class FindFit
      MOST = 12
      MOST_SIZED = 200 # of about the length, before the core compares all sides
      FEWEST_LETTERS = 2
      SIDES = /\A\D*(\d{1,4}(?:[.,]\d{1,2})?)\s*(?:mm)?\s*(?:[x×*]|by|\s)\s*(\d{1,4}(?:[.,]\d{1,2})?)\s*(?:mm)?\s*\z/i

      # `problem` says why a scan cannot be trusted.
      Found = Struct.new(:sheets, :parts, :sized, :problem, keyword_init: true) do
        def empty?
          sheets.empty? && parts.empty? && sized.empty?
        end
      end

      # @param text [String]
      # @return [Found] models, parts, and Core::Fit::Measured::Match with their models' parts
      def self.call(text)
        new(text.to_s.strip[0, 80]).call
      end

      def initialize(text)
        @text = text
      end

      def call
        return Found.new(sheets: [], parts: [], sized: []) if @text.length < FEWEST_LETTERS
        return scanned if @text.match?(Core::Shelf::Ean13::DIGITS)

        Found.new(sheets: sheets, parts: parts, sized: sized)
      end

      private

      def scanned
        return Found.new(sheets: [], parts: [], sized: [], problem: "The check digit is wrong: scan it again.") unless Core::Shelf::Ean13.valid?(@text)

        Found.new(sheets: [], parts: shown.where(barcode: @text).all, sized: [])
      end

      def sheets
        named(Models::Sheet, Sequel.join([:maker, " ", :model_name])).order(:maker, :model_name).limit(MOST).all
      end

      def parts
        shown = self.shown
        found = named(shown, Sequel.join([:number, " ", :name])).limit(MOST).all
        found.sort_by { |part| [part.number.casecmp?(@text) ? 0 : 1, part.number] }
      end

      def shown
        Models::Part.eager(:stock_level, :supplier, :successor)
      end

      def named(rows, column)
        @text.split.first(6).reduce(rows) { |found, word| found.where(plain(column).like(plain("%#{DB.dataset.escape_like(word)}%"))) }
      end

      def plain(value)
        Sequel.function(:plain_text, value)
      end

      def sized
        sides = @text.match(SIDES)&.captures&.map { |side| side.tr(",", ".").to_f } or return []
        near = sides.flat_map { |side| %w[length_mm diameter_mm].map { |name| near(name, side) } }
        rows = shown.where(kind: %w[belt filter]).where(Sequel.|(*near)).limit(MOST_SIZED).all
        Core::Fit::Measured.new(sides).matches(rows.map(&:to_core)).first(MOST)
      end

      # Wide enough for every tolerance of the core.
      def near(name, side)
        slack = [side * 0.03, 3].max
        { Sequel.cast(Sequel.lit("measures ->> ?", name), :numeric) => (side - slack)..(side + slack) }
      end
    end
  end
end
