# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Filter.
      Filter = KindWords.new(
        labels: {
          grey: "Grey",
          torn: "Torn or out of shape",
          smell: "Smells",
          damp: "Damp",
          loose: "Loose, or not locked",
          after_wash: "Already washed today",
          indicator_percent: "Indicator"
        },
        steps: { grey: { 0 => "white", 5 => "as dark as the reference" } },
        faults: { full: "clogged", damp: "damp", torn: "torn or out of shape", loose: "missing, loose or not locked" },
        act: "Take it out. Hold it to the light, feel it, smell it, and look how it sat.",
        sign: "dark or matted, damp, torn, loose or missing", tool: nil,
        measures: {
          "length_mm" => "Length, mm",
          "width_mm" => "Width, mm",
          "diameter_mm" => "Diameter, mm"
        },
        found: {
          torn: { both: "Torn or out of shape: it lets dust past the seal." },
          damp_washable: { both: "Damp: rinse it and dry it through; damp it can kill the motor." },
          damp: { staff: "It was wetted and must not be: replace it.", customers: "Damp, and it must never be wet." },
          loose: {
            staff: "Loose: clean its seat and set it again. It must click or lock, with no gap.",
            customers: "Loose in its seat."
          },
          smells_after_wash: { both: "Still smells after the wash." },
          grey_after_wash: { both: "Still grey {grey} of 5 after the wash: it will not come cleaner." },
          indicator_full: { both: "The indicator is full." },
          washed_out: { both: "Washed {washed} times; {life} are its life." },
          dark_washable: {
            staff: "As dark as its reference, and may be washed.",
            customers: "Very dark: little air gets through."
          },
          dark: {
            staff: "As dark as its reference, and must not be wetted.",
            customers: "Very dark: little air gets through, and it must not be washed."
          },
          smell_washable: { staff: "Smells; a wash comes first.", customers: "Smells." },
          smell: { staff: "Smells, and must not be wetted.", customers: "Smells, and must not be washed." },
          grey_washable: { both: "Grey {grey} of 5: worth a wash." },
          grey_tap_out: { both: "Grey {grey} of 5: tap it out." },
          grey_not_full: { both: "Grey {grey} of 5: still has life, and there is nothing to clean." },
          tap_out: { both: "Grey {grey} of 5: tap it out, no water needed." },
          light: { both: "Grey {grey} of 5: nothing to do." },
          indicator_left: { both: "The indicator stands at {percent} %." },
          dark_unknown: {
            staff: "As dark as its reference. The sheet does not say whether it may be washed: ask the maker, or " \
                   "judge yourself.",
            customers: "Very dark: little air gets through."
          },
          smell_unknown: {
            staff: "Smells. The sheet does not say whether it may be washed: ask the maker, or judge yourself.",
            customers: "Smells."
          }
        }
      )
    end
  end
end
