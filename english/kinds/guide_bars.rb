# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::GuideBars.
      GuideBars = KindWords.new(
        labels: { state: "Guide bars" },
        steps: {},
        faults: { bent: "bent" },
        act: "Look along them.",
        sign: "bent", tool: nil,
        measures: {},
        found: {
          guide_bars_straight: { both: "The guide bars are straight." },
          guide_bars_bent: { both: "Bent guide bars catch the pile and wear the bristles on one side." },
          guide_bars_missing: { both: "A guide bar is missing: bristles cannot be judged, and carpet is drawn in." }
        }
      )
    end
  end
end
