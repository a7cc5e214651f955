# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What may be behind a fault itself, so that it does not come back (common practice): a filter that is missing
      # behind a worn motor, a roll that is stuck behind a torn belt.
      class Origins
        # @param sheet [Sheets::Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @param cause [Cause] that was found
        # @return [Array<Cause>] what to look for behind it, at the places that this sheet has
        def of(cause)
          faults = cause.fault.behind_it
          @sheet.walk.reject { |place| place.key == cause.place }.flat_map do |place|
            faults.fetch(place.kind, []).map { |fault| Cause.at(place, Possible.fetch(place.kind, fault), 0.0) }
          end
        end
      end
    end
  end
end
