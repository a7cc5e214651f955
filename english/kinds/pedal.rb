# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Pedal.
      Pedal = KindWords.new(
        labels: { state: "Pedal" },
        steps: {},
        faults: { stiff: "stiff", broken: "broken" },
        act: "Press it up and down.",
        sign: "stiff, or it does not hold", tool: nil,
        measures: {},
        found: {
          pedal_clicks: { both: "The pedal clicks both ways." },
          pedal_stiff: {
            staff: "Stiff, or it stops half-way: clean its slot, or the tool is hard to push.",
            customers: "Stiff, or it stops half-way."
          },
          pedal_broken: { both: "The pedal is broken: the tool stays as it is, on carpet and on floor." }
        }
      )
    end
  end
end
