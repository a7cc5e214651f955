# frozen_string_literal: true

module UprightBench
  module English
    # The words for each kind of clock, a file each in this folder.
    module Clocks
      # Every clock says so what moved its date, and from when it counts.
      SHORTENED = [" × {household} ({traits})", " ÷ {personal} (found {gone} gone than expected in {jobs})",
                   " from {from_on}", ", found {found} % gone on {found_on}"].freeze

      ALL = Core::Clocks::Kinds::BY_KEY.keys.to_h { |key| [key, const_get(key.to_s.capitalize)] }.freeze

      # A word for what decided a date; also where no clock did.
      DECIDED = { **ALL.transform_values(&:decided), unknown: "history unknown", none: "no clock runs" }.freeze

      # What a clock counts => how it reads behind an amount.
      COUNTS = ALL.values.map(&:counts).inject(:merge).freeze

      # Why a task is due on its day, to staff.
      TEXTS = {
        **ALL.values.map(&:reasons).inject(:merge),
        start_unknown: "nobody knows since when it has been in: looked at on {found_on}, to be asked about and " \
                       "looked at again",
        history_unknown: "history unknown: look it over now, not in a year",
        nothing_runs: "no use and no calendar clock: nothing falls due"
      }.freeze
    end
  end
end
