# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Carbon.
      Carbon = KindWords.new(
        labels: { length_mm: "Carbon left", sparks: "Sparks" },
        steps: {},
        faults: { sparks: "sparks" },
        act: "Take the carbons out and measure them.",
        sign: "short, uneven, or sparks while it ran", tool: "rule",
        measures: {
          "new_length_mm" => "Length when new, mm",
          "least_length_mm" => "Least length, mm"
        },
        found: {
          carbon_sparks: {
            both: "Sparks at the carbon brushes: stop, and refer to a competent person under local rules."
          },
          carbon_short: {
            staff: "{left_mm} left, {least_mm} is the least: cheap against a motor. The motor is opened by a " \
                   "competent person.",
            customers: "{left_mm} left, {least_mm} is the least."
          },
          carbon_unknown: { both: "{left_mm} left; the sheet gives no least length." },
          carbon_left: { both: "{left_mm} left, {least_mm} is the least." }
        }
      )
    end
  end
end
