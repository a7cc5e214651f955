# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # Rules of when a machine is ready, who tests it, and of what nobody fetched.
      module PromiseRules
        ALL = [
          Number.new(key: "promises_kept_percent", group: :promises, label: "Promises that are to be kept, at least",
            unit: "%", range: 50..99, default: 90, # house rule
            hint: "Of a hundred. The more, the later a machine is promised."),
          Number.new(key: "part_promises_kept_percent", group: :promises, label: "The same, where a part is to come",
            unit: "%", range: 50..99, default: 90, # house rule
            hint: "The fewer, the sooner such a machine is promised, and the more often its customer hears that the " \
                  "part is late."),
          Number.new(key: "minutes_for_one_more", group: :promises, unit: "min",
            label: "To be surer, promise later by up to", range: 0..240,
            default: 60, # house rule, measured in docs/promises.md
            hint: "For each one more of a hundred that it keeps. 0 for never."),
          Number.new(key: "bench_seats", group: :promises, label: "Seats at the bench", unit: "seats", range: 1..50,
            hint: "Where fewer can work at once than people are there. Leave empty if there is a seat for everybody."),
          Number.new(key: "wet_benches", group: :promises, label: "Wet benches", unit: "benches", range: 1..20,
            hint: "Where somebody has to wait until another is done washing. Leave empty if nobody ever does."),
          Number.new(key: "stay_on_an_hour", group: :promises, label: "When somebody stays on, an hour costs",
            unit: Number::MONEY, range: 0..1_000_000,
            hint: "Stands beside that way of keeping a promise. Leave empty if nobody is paid for it apart."),
          Choice.new(key: "final_test_by", group: :promises, label: "The final test is done by", default: "anybody",
            options: { "anybody" => "anybody who may",
                       "another" => "somebody else than whoever did the work last" }),
          Number.new(key: "fetch_again_days", group: :promises, label: "Remind of what was not fetched after",
            unit: "days", range: 1..90, default: 14), # house rule
          Number.new(key: "most_fetch_reminders", group: :promises, label: "Remind at most", unit: "times",
            range: 0..10, default: 3) # house rule
        ].freeze
      end
    end
  end
end
