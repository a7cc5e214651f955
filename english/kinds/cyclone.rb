# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Cyclone.
      Cyclone = KindWords.new(
        labels: { state: "Cyclone" },
        steps: {},
        faults: { packed: "packed with dust" },
        act: "Look into the cones.",
        sign: "dust stands in them", tool: "lamp",
        measures: {},
        found: {
          cyclone_clear: { both: "The cones are clear." },
          cyclone_dusty: { staff: "Dusty cones: tap and brush from outside.", customers: "Dusty cones." },
          cyclone_packed: { staff: "Packed: the cones come out and are cleaned.", customers: "Packed with dust." }
        }
      )
    end
  end
end
