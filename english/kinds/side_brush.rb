# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::SideBrush.
      SideBrush = KindWords.new(
        labels: { state: "Side brush" },
        steps: {},
        faults: { wound: "wound with hair", bent: "bent" },
        act: "Turn it by hand.",
        sign: "wound with hair, or bent", tool: nil,
        measures: {},
        found: {
          side_brush_straight: { both: "The side brush is straight and free." },
          side_brush_hair_wound: {
            staff: "Hair that the main brush does not collect: cut it away, keep the small screw.",
            customers: "Wound with hair."
          },
          side_brush_bent: { both: "Bent or splayed: it throws dirt aside instead of drawing it in." },
          side_brush_missing: { both: "The side brush is missing." }
        }
      )
    end
  end
end
