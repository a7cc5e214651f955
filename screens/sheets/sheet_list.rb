# frozen_string_literal: true

module UprightBench
  module Screens
    module Sheets
      # One page of the sheets on file, by maker and model; by part of their name when asked for.
      class SheetList
        MOST_ROUGH = 20

        attr_reader :query

        # @param query [String, nil]
        # @param after [String, nil] the id of the last sheet on the page before
        def initialize(query, after)
          @query = query.to_s.scrub.delete("\u0000").strip[0, 80]
          @after = after.to_s.match?(/\A\d{1,18}\z/) ? Models::Sheet.with_pk(after.to_i) : nil
        end

        # @return [Array<Models::Sheet>]
        def sheets
          rows.first(A_PAGE)
        end

        # @return [Boolean]
        def more?
          rows.size > A_PAGE
        end

        # @return [Array<Models::Sheet>] begun at the counter and still to be completed; told on the first page only
        def rough
          return [] if @after

          rough = Sequel.lit("content ->> 'rough' = 'true'")
          @rough ||= Models::Sheet.join(:sheet_versions, id: :current_version_id).where(rough).select_all(:sheets)
                                  .order(Sequel[:sheets][:id]).limit(MOST_ROUGH).all
        end

        private

        def rows
          @rows ||= found.limit(A_PAGE + 1).all.tap { |sheets| Models::SheetVersion.preload(sheets.map(&:current_version_id)) }
        end

        def found
          named = Sequel.function(:plain_text, Sequel.join([:maker, " ", :model_name]))
          sheets = Models::Sheet.order(:maker, :model_name)
          sheets = sheets.where(Sequel.lit("(maker, model_name) > (?, ?)", @after.maker, @after.model_name)) if @after
          @query.split.reduce(sheets) { |list, word| list.where(named.like(Sequel.function(:plain_text, "%#{list.escape_like(word)}%"))) }
        end
      end
    end
  end
end
