# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What may be behind a fault itself, so that it does not come back (common practice): a filter that is missing
      # behind a worn motor, a roll that is stuck behind a torn belt.
      class Origins
        BEHIND = {
          motor: { worn: { filter: %i[loose torn], bag: %i[burst], path: %i[blocked] },
                   burnt: { filter: %i[loose full], path: %i[blocked] } },
          carbon: { sparks: { filter: %i[loose torn] } },
          filter: { full: { cyclone: %i[packed], screen: %i[torn], bin: %i[full], bag: %i[full burst],
                            seal: %i[lifted torn] } },
          belt: { broken: { roll: %i[stuck wound] } },
          roll: { worn: { wheels: %i[drag broken], guide_bars: %i[bent] } },
          cyclone: { packed: { bin: %i[full], seal: %i[lifted torn] } },
          bag: { burst: { path: %i[partly blocked] } },
          battery: { weak: { filter: %i[full], roll: %i[wound], contacts: %i[dirty] } },
          setting: { cut_out: { filter: %i[full], bag: %i[full], path: %i[blocked partly] } }
        }.freeze

        # @param sheet [Sheets::Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @param cause [Cause] that was found
        # @return [Array<Cause>] what to look for behind it, at the places that this sheet has
        def of(cause)
          part = cause.place ? @sheet.position(cause.place).kind : :setting
          faults = BEHIND.dig(part, cause.fault.key) || {}
          @sheet.walk.reject { |place| place.key == cause.place }.flat_map do |place|
            faults.fetch(place.kind, []).map { |fault| Cause.at(place, Kinds.fetch(place.kind, fault), 0.0) }
          end
        end
      end
    end
  end
end
