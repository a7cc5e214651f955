# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Lead.
      Lead = KindWords.new(
        labels: { state: "Lead" },
        steps: {},
        faults: { damaged: "damaged" },
        act: "Let it run through your hand, unplugged.",
        sign: "a nick, a kink, or a loose plug: stop", tool: nil,
        measures: {},
        found: {
          lead_sound: { both: "The lead is sound along its whole length." },
          lead_damaged: {
            both: "Damaged lead: stop. Repair and safety test belong to a competent person under local rules."
          }
        }
      )
    end
  end
end
