# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Vents.
      Vents = KindWords.new(
        labels: { state: "Vents" },
        steps: {},
        faults: { blocked: "blocked" },
        act: "Look at each opening.",
        sign: "dust across it", tool: nil,
        measures: {},
        found: {
          vents_open: { both: "The vents are open." },
          vents_dusty: {
            staff: "Dusty vents: brush them, the head sticks to the floor without them.",
            customers: "Dusty: the head sticks to the floor."
          },
          vents_blocked: { both: "Blocked vents: the head sticks to the floor and starves." }
        }
      )
    end
  end
end
