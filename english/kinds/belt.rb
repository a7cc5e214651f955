# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Belt.
      Belt = KindWords.new(
        labels: { length_mm: "Length", cracked: "Cracked, glazed or torn" },
        steps: {},
        faults: { broken: "cracked, glazed or torn" },
        act: "Look all round it, and press it.",
        sign: "cracks, glaze, or slack", tool: nil,
        measures: {
          "length_mm" => "Length, mm",
          "width_mm" => "Width, mm"
        },
        found: {
          belt_cracked: { both: "Cracked, glazed or torn." },
          belt_too_short: { both: "Shorter than the belt of this model ({nominal_mm}): not the right belt." },
          belt_stretched: { both: "Stretched {stretched} %; the limit is {limit} %." },
          belt_within: { both: "Stretched {stretched} %, below the limit of {limit} %." }
        }
      )
    end
  end
end
