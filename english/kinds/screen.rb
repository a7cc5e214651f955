# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Screen.
      Screen = KindWords.new(
        labels: { state: "Screen" },
        steps: {},
        faults: { clogged: "clogged", wound: "wound with hair", torn: "torn" },
        act: "Turn it against the light.",
        sign: "matted, wound with hair or torn", tool: nil,
        measures: {},
        found: {
          screen_clear: { both: "The screen is clear." },
          screen_hair_wound: {
            staff: "Hair-wound: the cause most owners never find. Brush, wipe, let dry.",
            customers: "Wound with hair."
          },
          screen_clogged: {
            staff: "Clogged: the cause most owners never find. Brush, wipe, let dry.",
            customers: "Clogged."
          },
          screen_torn: { both: "Torn or broken through: it lets fluff on to the filter." }
        }
      )
    end
  end
end
