# frozen_string_literal: true

module UprightBench
  module English
    module Clocks
      # Words for Core::Clocks::Kinds::Months.
      Months = ClockWords.new(
        decided: "calendar", counts: { "months" => "months" },
        reasons: { after_months: ["{months}", *SHORTENED, ": {until_on}"] }
      )
    end
  end
end
