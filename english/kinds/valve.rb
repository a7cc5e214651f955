# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Valve.
      Valve = KindWords.new(
        labels: { state: "Bleed valve" },
        steps: {},
        faults: { sticks: "sticks open" },
        act: "Press it, and let go.",
        sign: "it stays open", tool: nil,
        measures: {},
        found: {
          valve_closes: { both: "The bleed valve closes." },
          valve_sticks: {
            staff: "The bleed valve sticks open: air goes in at the handle. Clean its slide.",
            customers: "Sticks open, so air goes in at the handle."
          },
          valve_broken: { both: "The bleed valve is broken: air goes in at the handle instead of at the floor." }
        }
      )
    end
  end
end
