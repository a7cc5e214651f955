# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Battery.
      Battery = KindWords.new(
        labels: {
          state: "Pack",
          run_minutes: "Run time, normal setting",
          run_minutes_full: "Run time, full power",
          charging: "Charging light"
        },
        steps: {},
        faults: { weak: "weak", swollen: "swollen" },
        act: "Charge it full, and time how long it runs.",
        sign: "much shorter than new; swollen: stop", tool: "clock",
        measures: {
          "run_minutes" => "Run time when new, normal setting, min",
          "run_minutes_full" => "Run time when new, full power, min"
        },
        found: {
          battery_sound: { both: "The pack looks sound." },
          battery_weak: {
            staff: "The pack runs short: wipe the contacts and see to the filter first, then offer a new pack.",
            customers: "Runs short."
          },
          battery_swollen: {
            both: "Swollen, hot, leaking, dropped or wetted: stop, keep it apart, take it to a battery collection " \
                  "point."
          },
          pack_tired: {
            staff: "Runs {share} % of its time when new ({ran} of {rated} min {setting}); below {limit} % offer a " \
                   "new pack. Clean contacts and filter come first: both mimic a weak pack.",
            customers: "Runs {share} % of its time when new ({ran} of {rated} min {setting})."
          },
          charges_badly: {
            staff: "Flashes red while charging: try the charger that was made for it, and wipe the contacts. If it " \
                   "stays red, suspect the pack.",
            customers: "Flashes red while charging."
          },
          pack_holds: { both: "Runs {share} % of its time when new ({ran} of {rated} min {setting})." },
          charges: { both: "The charging light is steady." }
        }
      )
    end
  end
end
