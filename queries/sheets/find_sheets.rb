# frozen_string_literal: true

module UprightBench
  module Queries
    # Models by a part of maker, model or family; small mistakes are forgiven when nothing is found otherwise.
    class FindSheets
      MOST = 8
      FEWEST_LETTERS = 2
      LEAST_ALIKE = 0.35 # similarity by trigrams, from 0 to 1
      Row = Struct.new(:id, :title, :family)

      # @param text [Object] as typed
      # @return [Array<Row>] the best first
      def self.call(text)
        new(text).call
      end

      # @return [Integer, nil] the id of the one model of exactly this title
      def self.exactly(text)
        ids = Models::Sheet.where(plain(title) => plain(text.to_s.strip[0, 120])).limit(2).select_map(:id)
        ids.first if ids.one?
      end

      def self.plain(value)
        Sequel.function(:plain_text, value)
      end

      def self.title
        Sequel.join(%i[maker model_name], " ")
      end

      def initialize(text)
        @text = text.to_s.scrub.delete("\u0000").strip[0, 80]
      end

      def call
        return [] if @text.length < FEWEST_LETTERS

        rows = read(sheets.where(Sequel.&(*@text.split.first(6).map { |word| names(word) })))
        rows.empty? ? read(sheets.where(alike >= LEAST_ALIKE)) : rows
      end

      private

      def sheets
        current = Models::SheetVersion.select(:id, Sequel.lit("content ->> 'family'").as(:family))
        Models::Sheet.join(current.as(:current), id: Sequel[:sheets][:current_version_id])
      end

      def names(word)
        pattern = self.class.plain("%#{Models::Sheet.dataset.escape_like(word)}%")
        self.class.plain(Sequel.join([:maker, " ", :model_name, " ", :family])).like(pattern)
      end

      def alike
        Sequel.function(:word_similarity, self.class.plain(@text), self.class.plain(self.class.title))
      end

      def read(dataset)
        dataset.order(alike.desc, :maker, :model_name).limit(MOST).naked
          .select_map([Sequel[:sheets][:id], self.class.title.as(:title), :family]).map { |row| Row.new(*row) }
      end
    end
  end
end
