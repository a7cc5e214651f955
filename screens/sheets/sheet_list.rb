# frozen_string_literal: true

module UprightBench
  module Screens
    module Sheets
      # One page of the sheets on file, those to be completed first; by part of maker and model when asked for.
      class SheetList
        attr_reader :query

        def initialize(query, page)
          @query = query.to_s.scrub.delete("\u0000").strip[0, 80]
          @page = page.to_s.match?(/\A\d{1,6}\z/) ? page.to_i : 0
        end

        # @return [Array<Models::Sheet>]
        def sheets
          rows.first(A_PAGE)
        end

        # @return [Integer, nil] the number of the page after this one
        def next_page
          @page + 1 if rows.size > A_PAGE
        end

        # @return [Integer, nil]
        def page_before
          @page - 1 if @page.positive?
        end

        private

        def rows
          @rows ||= found.offset(@page * A_PAGE).limit(A_PAGE + 1).all.tap { |sheets| Models::SheetVersion.preload(sheets.map(&:current_version_id)) }
        end

        def found
          named = Sequel.function(:plain_text, Sequel.join([Sequel[:sheets][:maker], " ", Sequel[:sheets][:model_name]]))
          sheets = Models::Sheet.join(:sheet_versions, id: :current_version_id).select_all(:sheets)
                                .order(Sequel.lit("coalesce((content->>'rough')::boolean, false) DESC"), Sequel[:sheets][:maker], Sequel[:sheets][:model_name])
          words = @query.split
          words.reduce(sheets) { |list, word| list.where(named.like(Sequel.function(:plain_text, "%#{list.escape_like(word)}%"))) }
        end
      end
    end
  end
end
