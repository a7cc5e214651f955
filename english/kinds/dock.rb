# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Dock.
      Dock = KindWords.new(
        labels: { state: "Dock" },
        steps: {},
        faults: { dusty: "dusty", loose: "loose" },
        act: "Move it, and look at its openings.",
        sign: "loose, or dust across them", tool: nil,
        measures: {},
        found: {
          dock_firm: { both: "The dock stands firm." },
          dock_dusty: {
            staff: "Dust on the dock's ramp and sensors: dry cloth only.",
            customers: "Dust on the ramp and the sensors."
          },
          dock_loose: {
            staff: "The dock is loose: tell the customer it needs heavier anchors.",
            customers: "Loose: it needs heavier anchors."
          }
        }
      )
    end
  end
end
