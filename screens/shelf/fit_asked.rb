# frozen_string_literal: true

module UprightBench
  module Screens
    module Shelf
      # What the fit finder is asked: words, or a model and one of its places.
      class FitAsked
        attr_reader :query, :sheet_id

        # @param params [Hash{String=>Object}] q, sheet, at
        # @raise [Services::NotFound] for a sheet that is not on file
        def initialize(params, sheet_id:, today:)
          @query = params["q"].to_s.strip[0, 80]
          @at = params["at"].to_s
          @sheet_id = sheet_id
          @today = today
        end

        # @return [Services::FindFit::Found]
        def found
          @found ||= Services::FindFit.call(@query)
        end

        # @return [Core::Sheets::Sheet, nil]
        def sheet
          @sheet ||= @sheet_id && Services::Lookup.one(:sheet, @sheet_id).to_core
        end

        # @return [Core::Sheets::Position, nil]
        def place
          sheet.position(@at) if sheet&.position?(@at)
        end

        # @return [Core::Fit::Answer]
        def answer
          @answer ||= Services::FitFor.new(sheet, today: @today).call([place.key]).fetch(place.key)
        end
      end
    end
  end
end
