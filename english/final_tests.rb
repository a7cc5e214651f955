# frozen_string_literal: true

module UprightBench
  module English
    # Why something is tried before a machine goes home.
    module FinalTests
      TEXTS = {
        worked_at: "Worked at: {place}.",
        always_tried: "It has: {place}.",
        blown_out: "Compressed air was used.",
        sheet_asks: "The sheet asks for it.",
        always_run: "Tried at every machine.",
        read_before: "It was read before the work: {point}.",
        why_it_came: "This is why it came."
      }.freeze
    end
  end
end
