# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Seal.
      Seal = KindWords.new(
        labels: { state: "Seal" },
        steps: {},
        faults: { dirty: "dirty", lifted: "lifted from its seat", torn: "torn", binds: "binds" },
        act: "Close it on a strip of paper, at four sides, and pull.",
        sign: "the paper slides out; dirt, a tear, a fold", tool: "strip of paper",
        measures: {},
        found: {
          seal_clean: { both: "The seal is clean and seated." },
          seal_dirty: {
            staff: "A dirty seal leaks as surely as a torn one: wipe it.",
            customers: "A dirty seal leaks as surely as a torn one."
          },
          seal_lifted: {
            staff: "The seal has lifted: wipe it and seat it again.",
            customers: "Lifted out of its seat."
          },
          seal_binds: {
            staff: "The seal binds: find which one by closing the inner lid alone first, then wipe it.",
            customers: "Binds."
          },
          seal_torn: { both: "The seal is torn: it cannot hold suction." },
          seal_binds_silicone: {
            staff: "The seal binds: wipe it, then a film of silicone, the rest wiped off.",
            customers: "Binds."
          }
        }
      )
    end
  end
end
