# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Window.
      Window = KindWords.new(
        labels: { state: "Window" },
        steps: {},
        faults: { cracked: "cracked" },
        act: "Press it, and look along its edge.",
        sign: "a crack", tool: nil,
        measures: {},
        found: {
          window_clear: { both: "The window is clear." },
          window_dirty: { staff: "The window is dirty: wipe it, look for what it hides.", customers: "Dirty." },
          window_cracked: { both: "Cracked: it leaks just where the suction is wanted." }
        }
      )
    end
  end
end
