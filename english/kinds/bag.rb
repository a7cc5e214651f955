# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Bag.
      Bag = KindWords.new(
        labels: { fill_percent: "Full", burst: "Burst" },
        steps: {},
        faults: { full: "full", burst: "burst" },
        act: "Open the chamber and squeeze the bag.",
        sign: "tight and full, or dust beside it", tool: nil,
        measures: {
          "hours_a_bag" => "Hours a bag lasts",
          "change_at_percent" => "Its own line, %",
          "hygiene_days" => "Longest use, days"
        },
        found: {
          burst: { staff: "The bag has burst: look for dust behind it, on the motor filter.", customers: "Burst." },
          bag_full: { both: "{fill} % full; {whose} at {limit} %: suction falls as it fills." },
          bag_stale: { both: "In use for {age_days}; after {hygiene_days} it smells, full or not." },
          bag_soon_full: {
            both: "{fill} % full, about {left_days} left: it will not last until anybody looks again."
          },
          bag_room_left: { both: ["{fill} % full, the line is {limit} %", ": about {left_days} left", "."] }
        }
      )
    end
  end
end
