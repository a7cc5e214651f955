# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Comb.
      Comb = KindWords.new(
        labels: { state: "Comb" },
        steps: {},
        faults: { wound: "wound with hair", broken: "broken" },
        act: "Look along it.",
        sign: "wound with hair, or a tooth gone", tool: nil,
        measures: {},
        found: {
          comb_whole: { both: "The comb is whole." },
          comb_hair_wound: {
            staff: "Hair in the comb: pull it out along the teeth, or it winds round the roll next.",
            customers: "Hair in the comb."
          },
          comb_broken: { both: "Teeth are missing: hair gets past the comb to the bearings." }
        }
      )
    end
  end
end
