# frozen_string_literal: true

module UprightBench
  module English
    # Why a task is due on its day (Core::Clocks).
    module Dates
      SHORTENED = [" × {household} ({traits})", " ÷ {personal} (found {gone} gone than expected in {jobs})",
                   " from {from_on}", ", found {found} % gone on {found_on}"].freeze

      TEXTS = {
        after_hours: ["{hours} h of use", *SHORTENED, " at {rate} h a week", ": {until_on}"],
        after_months: ["{months}", *SHORTENED, ": {until_on}"],
        after_bags: ["{bags}", " ({counted} so far)", *SHORTENED, ": {until_on}"],
        after_washes: ["{washes}", " ({counted} so far)", *SHORTENED, ": {until_on}"],
        at_full_indicator: ["the indicator full", *SHORTENED, ", {percent} % on {read_on}", ": {until_on}"],
        start_unknown: "nobody knows since when it has been in: looked at on {found_on}, to be asked about and " \
                       "looked at again",
        history_unknown: "history unknown: look it over now, not in a year",
        nothing_runs: "no use and no calendar clock: nothing falls due"
      }.freeze
    end
  end
end
