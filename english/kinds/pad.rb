# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Pad.
      Pad = KindWords.new(
        labels: { state: "Pad" },
        steps: {},
        faults: { dirty: "dirty" },
        act: "Look at it and smell it.",
        sign: "dirty", tool: nil,
        measures: {},
        found: {
          pad_clean: { both: "The pad is clean." },
          pad_dirty: { both: "The pad is dirty." },
          pad_worn: { both: "Worn through or frayed: it smears." }
        }
      )
    end
  end
end
