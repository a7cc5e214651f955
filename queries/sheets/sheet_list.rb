# frozen_string_literal: true

module UprightBench
  module Queries
    # Model sheets by maker and model, page by page, those with some words in their name; and those that are still
    # rough.
    class SheetList
      PAGE = 20
      MOST_ROUGH = 20

      attr_reader :query

      # @param query [Object] words of maker and model, as typed
      # @param after [Object] the id of the last sheet of the page before
      def initialize(query, after)
        @query = query.to_s.scrub.delete("\u0000").strip[0, 80]
        @after = after.to_s.match?(/\A\d{1,18}\z/) ? Models::Sheet.with_pk(after.to_i) : nil
      end

      # @return [Array<Models::Sheet>]
      def sheets
        rows.first(PAGE)
      end

      def more?
        rows.size > PAGE
      end

      # Begun at the counter, and waiting for somebody to complete them; told on the first page.
      # @return [Array<Models::Sheet>]
      def rough
        return [] if @after

        rough = Sequel.lit("content ->> 'rough' = 'true'")
        @rough ||= Models::Sheet.join(:sheet_versions, id: :current_version_id).where(rough).select_all(:sheets)
          .order(Sequel[:sheets][:id]).limit(MOST_ROUGH).all
      end

      # @return [Array<Models::Draft>] under way
      def drafts
        Models::Draft.eager(:sheet, :beginner).order(:id).all
      end

      private

      def rows
        @rows ||= matching.limit(PAGE + 1)
          .all.tap { |sheets| Models::SheetVersion.preload(sheets.map(&:current_version_id)) }
      end

      def matching
        named = Sequel.function(:plain_text, Sequel.join([:maker, " ", :model_name]))
        sheets = Models::Sheet.order(:maker, :model_name)
        sheets = sheets.where(Sequel.lit("(maker, model_name) > (?, ?)", @after.maker, @after.model_name)) if @after
        @query.split.reduce(sheets) do |list, word|
          list.where(named.like(Sequel.function(:plain_text, "%#{list.escape_like(word)}%")))
        end
      end
    end
  end
end
