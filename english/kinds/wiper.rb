# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Wiper.
      Wiper = KindWords.new(
        labels: { state: "Strip" },
        steps: {},
        faults: { worn: "worn", dirty: "dirty" },
        act: "Run a finger along it.",
        sign: "stiff, worn or dirty", tool: nil,
        measures: {},
        found: {
          wiper_supple: { both: "The strip is supple and whole." },
          wiper_dirty: {
            staff: "Dirty: wipe it; hair under it makes the head ride up.",
            customers: "Dirty: hair under it makes the head ride up."
          },
          wiper_worn: { both: "Worn or torn: it leaves a trail." }
        }
      )
    end
  end
end
