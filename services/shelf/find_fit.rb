# frozen_string_literal: true

module UprightBench
  module Services
    # What somebody at the shelf asks for, as they type: a model, a number or a name of a part, a barcode, or two
    # measured sides.
    class FindFit
      MOST = 12
      MOST_SIZED = 60 # of about the size, before the core says which are near enough
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

        sides ? Found.new(sheets: [], parts: [], sized: sized) : Found.new(sheets: sheets, parts: parts, sized: [])
      end

      private

      def scanned
        unless Core::Shelf::Ean13.valid?(@text)
          return Found.new(sheets: [], parts: [], sized: [], problem: "The check digit is wrong: scan it again.")
        end

        Found.new(sheets: [], parts: shown.where(barcode: @text).all, sized: [])
      end

      def sheets
        found = named(Models::Sheet, Sequel.join([:maker, " ", :model_name])).order(:maker, :model_name).limit(MOST * 4)
          .all
        found.sort_by.with_index { |sheet, index| [-whole_words(sheet), index] }.first(MOST)
      end

      # "Loft K" means the K more than any Brackwater.
      def whole_words(sheet)
        (sheet.title.downcase.split & @text.downcase.split).size
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
        @text.split.first(6).reduce(rows) do |found, word|
          found.where(plain(column).like(plain("%#{DB.dataset.escape_like(word)}%")))
        end
      end

      def plain(value)
        Sequel.function(:plain_text, value)
      end

      # @return [Array(Float, Float), nil]
      def sides
        @sides ||= @text.match(SIDES)&.captures&.map { |side| side.tr(",", ".").to_f }
      end

      def sized
        ids = either_way_round.map(&:from_self).reduce { |all, rows| all.union(rows, from_self: false) }
        Core::Fit::Measured.new(sides).matches(shown.where(id: ids).all.map(&:to_core)).first(MOST)
      end

      # @return [Array] queries: each kind of part, by each two sides that it may be known by
      def either_way_round
        names = Core::Fit::Measured::WAYS.flat_map { |kind, ways| ways.map { |two| [kind, two] } }
        [sides, sides.reverse].product(names).map { |measured, (kind, two)| near(kind, two.zip(measured)) }
      end

      # Wide enough for every tolerance of the core; the nearest first.
      def near(kind, measured)
        measured.reduce(Models::Part.where(kind: kind.to_s)) do |parts, (name, side)|
          parts.of_about(name, side, [side * 0.03, 3].max)
        end
          .order(Models::Part.off_by(*measured.first), :id).limit(MOST_SIZED).select(:id)
      end
    end
  end
end
