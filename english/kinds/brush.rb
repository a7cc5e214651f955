# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Brush.
      Brush = KindWords.new(
        labels: { standout_mm: "Bristles beyond the guide bars", gaps: "Bristles missing" },
        steps: {},
        faults: { flush: "worn flush with the bars", gaps: "bristles missing" },
        act: "Lay a straight edge over the guide bars.",
        sign: "bristles flush with the bars, or gaps", tool: "straight edge",
        measures: {
          "new_standout_mm" => "Bristles beyond the guide bars when new, mm",
          "dial_settings" => "Settings of the height dial"
        },
        found: {
          gaps: { both: "Bristles are missing: replace the strip." },
          flush: { both: "Bristles are flush with the guide bars: worn out." },
          flush_before_next_service: {
            both: "{left_mm} left; at this wear flush on {flush_on}, before the next service."
          },
          proud: {
            both: ["Bristles stand {proud_mm} proud of the guide bars", "; set the height dial to {dial}", "."]
          }
        }
      )
    end
  end
end
