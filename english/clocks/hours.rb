# frozen_string_literal: true

module UprightBench
  module English
    module Clocks
      # Words for Core::Clocks::Kinds::Hours.
      Hours = ClockWords.new(
        decided: "run hours", counts: { "hours" => "hours of use" },
        reasons: { after_hours: ["{hours} h of use", *SHORTENED, " at {rate} h a week", ": {until_on}"] }
      )
    end
  end
end
