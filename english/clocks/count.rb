# frozen_string_literal: true

module UprightBench
  module English
    module Clocks
      # Words for Core::Clocks::Kinds::Count.
      Count = ClockWords.new(
        decided: "count", counts: { "bags" => "bags", "washes" => "washes" },
        reasons: { after_bags: ["{bags}", " ({counted} so far)", *SHORTENED, ": {until_on}"],
                   after_washes: ["{washes}", " ({counted} so far)", *SHORTENED, ": {until_on}"] }
      )
    end
  end
end
