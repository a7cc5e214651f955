# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Tank.
      Tank = KindWords.new(
        labels: { state: "Tank" },
        steps: {},
        faults: { gapes: "does not close", dirty: "dirty" },
        act: "Fill it, and turn it over the sink.",
        sign: "it drips, or does not close", tool: nil,
        measures: {},
        found: {
          tank_clean: { both: "The tank is clean and its lid seals." },
          tank_dirty: {
            staff: "Dirty: rinse and dry it. No floor cleaner unless the maker allows it.",
            customers: "Dirty."
          },
          tank_gapes: {
            staff: "The lid does not seal, so there is no suction: clean its rim and seat it again.",
            customers: "The lid does not seal, so there is no suction."
          },
          tank_leaks: { both: "The tank leaks." }
        }
      )
    end
  end
end
