# frozen_string_literal: true

module UprightBench
  module English
    # Why a machine is opened and closed in this order.
    module Strip
      TEXTS = {
        way_to: ["To reach: {places}", ", and {more} more", "."],
        was_open: "It was opened before.",
        goes_back_first: "Nothing has to be in before it.",
        goes_back_after: "After: {what}."
      }.freeze
    end
  end
end
