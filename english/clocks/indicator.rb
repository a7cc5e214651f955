# frozen_string_literal: true

module UprightBench
  module English
    module Clocks
      # Words for Core::Clocks::Kinds::Indicator.
      Indicator = ClockWords.new(
        decided: "indicator", counts: { "indicator" => "% of its indicator" },
        reasons: { at_full_indicator: ["the indicator full", *SHORTENED, ", {percent} % on {read_on}", ": {until_on}"] }
      )
    end
  end
end
