# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Wheels.
      Wheels = KindWords.new(
        labels: { state: "Wheels" },
        steps: {},
        faults: { drag: "drag", broken: "broken" },
        act: "Turn each by hand.",
        sign: "one drags or is broken", tool: nil,
        measures: {},
        found: {
          wheels_turn: { both: "The wheels turn freely." },
          wheels_drag: {
            staff: "The wheels drag: hair on the axles, grit in the bearings. Bearings are never soaked.",
            customers: "The wheels drag: hair on the axles, grit in the bearings."
          },
          wheels_broken: { both: "A wheel is broken: the head scrapes, and the floor with it." }
        }
      )
    end
  end
end
