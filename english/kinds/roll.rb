# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Roll.
      Roll = KindWords.new(
        labels: { turns: "Roll", bristles: "Bristles", light: "Status light" },
        steps: {},
        faults: { wound: "wound with hair", stuck: "stuck", worn: "worn bristles" },
        act: "Turn it by hand, and look at both ends.",
        sign: "it drags or is stuck; hair; worn bristles", tool: nil,
        measures: {},
        found: {
          roll_free: { both: "The roll spins freely." },
          roll_drags: { both: "The roll drags: hair at the ends and on the bearings." },
          roll_stuck: {
            staff: "The roll is stuck: free the ends first; if it still sticks, refer.",
            customers: "Stuck."
          },
          roll_worn: { both: "Bristles are {bristles}: it turns, but picks nothing up." },
          roll_light: { both: "The light shows a fault with the roll free: refer to the maker." },
          roll_full: { both: "Bristles are full." },
          roll_light_fine: { both: "The light shows no fault." },
          roll_light_first: { both: "The light shows a fault: free the roll first, then look again." }
        }
      )
    end
  end
end
