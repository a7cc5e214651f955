# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # The shop rules about prices, tax, bills and cash.
      module MoneyRules
        ALL = [
          Choice.new(key: "currency", group: :money, label: "Sums are in", default: Money::Currency::USUAL,
            options: Money::Currency::ALL.transform_values { |known| "#{known.name} (#{known.code})" }),
          Number.new(key: "labour_an_hour", group: :money, label: "Bench time, an hour", unit: Number::MONEY,
            range: 0..1_000_000, default: 60),
          Number.new(key: "labour_step_minutes", group: :money, label: "Charged in steps of", unit: "min",
            range: 1..120, default: 15),
          Number.new(key: "least_labour_minutes", group: :money, label: "Least charged", unit: "min", range: 0..240,
            default: 15),
          Number.new(key: "labour_tax_percent", group: :money, label: "Tax on bench time", unit: "%", range: 0.0..50.0,
            default: 0.0,
            whole: false),
          Number.new(key: "part_tax_percent", group: :money, label: "Tax on parts", unit: "%", range: 0.0..50.0,
            default: 0.0,
            whole: false),
          Choice.new(key: "prices", group: :money, label: "Our prices are", default: "without_tax",
            options: { "without_tax" => "without tax; it is added", "with_tax" => "with tax" },
            hint: "Of bench time, parts and whatever else is priced."),
          Choice.new(key: "tax_rounding", group: :money, label: "Tax is rounded", default: "total",
            options: { "total" => "once, on the total", "line" => "on each line" },
            hint: "To the cent; an exact half goes to the even cent."),
          Number.new(key: "look_fee", group: :money, label: "For looking it over", unit: Number::MONEY,
            range: 0..1_000_000,
            default: 0,
            hint: "Proposed at intake."),
          Choice.new(key: "look_fee_with_work", group: :money, label: "When work is done, the look-over is",
            default: "free", options: { "free" => "free", "charged" => "charged as well" }),
          Number.new(key: "discount_limit_percent", group: :money, label: "Anybody may take off up to", unit: "%",
            range: 0..100, default: 20, hint: "For more, ask who may: the owner says who."), # house rule
          Number.new(key: "smallest_coin_cents", group: :money, label: "Cash is rounded to", unit: "cents",
            range: 1..1000, default: 1, hint: "5 where five cents are the smallest coin."),
          Number.new(key: "guarantee_days", group: :money, label: "Our guarantee on work", unit: "days",
            range: 0..1095, default: 90, # common practice
            hint: "A machine that comes back within it is marked. The law may give more."),
          Number.new(key: "take_back_hours", group: :money, label: "A hand-over can be taken back for", unit: "h",
            range: 0..168, default: 24, hint: "Its bill is put right by a credit note."), # house rule
          Number.new(key: "estimate_valid_days", group: :money, label: "An estimate holds for", unit: "days",
            range: 1..365, default: 14)
        ].freeze

        BILLS_KEPT = Number.new(key: "bills_kept_years", group: :records, label: "Keep names on bills for",
          unit: "years",
          range: 1..30, default: 10, hint: "As your tax law asks, also for customers who were forgotten.")
      end
    end
  end
end
