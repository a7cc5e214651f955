# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Path.
      Path = KindWords.new(
        labels: { state: "Airflow" },
        steps: {},
        faults: { blocked: "blocked", partly: "partly blocked" },
        act: "Look through it at the light; where it bends, let a coin or a ball run through.",
        sign: "dark, or the coin stays in", tool: "coin",
        measures: {},
        found: {
          path_clear: { both: "The airflow is clear." },
          path_partly: { staff: "Partly blocked: push it through with a blunt rod.", customers: "Partly blocked." },
          path_blocked: { staff: "Blocked: push it through with a blunt rod.", customers: "Blocked." }
        }
      )
    end
  end
end
