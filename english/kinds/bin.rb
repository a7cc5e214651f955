# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Bin.
      Bin = KindWords.new(
        labels: { fill_percent: "Full", cracked: "Cracked", haze: "Hazed by fine scratches" },
        steps: {},
        faults: { full: "full", cracked: "cracked" },
        act: "Look at the line, and run a finger along the rim.",
        sign: "full above its line, or a crack", tool: nil,
        measures: {},
        found: {
          bin_cracked: { both: "Cracked: it leaks suction and dust." },
          bin_full: {
            staff: "{fill} % full; empty at {limit} %, and always before the filters are opened.",
            customers: "{fill} % full; it should be emptied at {limit} %."
          },
          bin_hazed: {
            staff: "The haze is wear from grit, not dirt: it does not wash off. Say so before the customer asks.",
            customers: "The haze is wear from grit: it does not wash off."
          },
          bin_room_left: { both: "{fill} % full, below the line." }
        }
      )
    end
  end
end
