# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Flap.
      Flap = KindWords.new(
        labels: { state: "Flap" },
        steps: {},
        faults: { gapes: "does not close", jammed: "jammed", broken: "broken" },
        act: "Move it with a finger, and let it fall.",
        sign: "it does not close, or does not open", tool: nil,
        measures: {},
        found: {
          flap_closes: { both: "The flap closes fully." },
          flap_gapes: { both: "The flap gapes: dust under it, dirt falls straight out again." },
          flap_jammed: { staff: "The flap is jammed: that looks like a dead motor. Free it.", customers: "Jammed." },
          flap_broken: { both: "The flap is broken." }
        }
      )
    end
  end
end
