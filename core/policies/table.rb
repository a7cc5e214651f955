# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # Every shop rule, with its default, its range and its words. A default stands here and nowhere else: what the
      # core computes with, the form that changes it and the settings page all read this table.
      module Table
        GROUPS = [
          Group.new(key: :look_over, heading: "Look-over and care",
            sentence: "What counts as full or worn out. A model sheet with its own limit overrides these."),
          Group.new(key: :drying, heading: "Drying",
            sentence: "How long washed parts stay on the rack, and the air they dry in."),
          Group.new(key: :promises, heading: "Promises",
            sentence: "How the time a machine is ready by is worked out, and who tests it."),
          Group.new(key: :households, heading: "Households",
            sentence: "How much sooner washing, cleaning and bags come round in homes like these."),
          Group.new(key: :cards, heading: "Cards", sentence: "When reminders leave, how often they are repeated, and " \
                                                             "how a card looks."),
          Group.new(key: :money, heading: "Prices and tax",
            sentence: "What bench time costs, and the tax on it and on parts."),
          Group.new(key: :shelf, heading: "Shelf", sentence: "How much stock to hold, and how often to reorder."),
          Group.new(key: :writing, heading: "Days and figures",
            sentence: "How they are written on pages and papers. Cards in other languages say days as you word them."),
          Group.new(key: :printing, heading: "Printing", sentence: "What the shop prints on."),
          Group.new(key: :records, heading: "Records", sentence: "How long customers who no longer come are kept.")
        ].freeze

        PERCENT_OF_INTERVAL = { unit: "%", range: 40..100 }.freeze
        private_constant :PERCENT_OF_INTERVAL

        ALL = [
          Number.new(key: "bag_limit_percent", group: :look_over, label: "Change a bag at", unit: "%", range: 10..100,
            default: 50, hint: "Full, squeezed by hand."), # common practice
          Number.new(key: "bin_limit_percent", group: :look_over, label: "Empty a bin at", unit: "%", range: 10..100,
            default: 66, hint: "Of its volume."), # common practice: two thirds
          Number.new(key: "washes_in_a_life", group: :look_over, label: "Washes in a filter's life", unit: "washes",
            range: 1..100, default: 12, hint: "After that it is replaced."), # house rule
          Number.new(key: "battery_limit_percent", group: :look_over, label: "Battery is tired below", unit: "%",
            range: 10..95, default: 60, hint: "Of its run time when new."), # house rule
          Number.new(key: "gauge_error_percent", group: :look_over, label: "Error of the suction gauge", unit: "%",
            range: 0.5..20.0, default: 2.0, whole: false, hint: "As its maker says."),
          Number.new(key: "least_restored_percent", group: :look_over, label: "Suction after service, at least",
            unit: "%", range: 0..100, default: 85, hint: "Below this, closing up asks why."), # house rule
          Number.new(key: "air_pressure_kpa", group: :look_over, label: "Air pressure here", unit: "kPa",
            range: 60..110, whole: false, hint: "Not brought down to the sea. Suction is compared in standard air."),
          Choice.new(key: "seal_care", group: :look_over, label: "A seal that binds is", default: "dry",
            options: { "dry" => "wiped, dry", "silicone" => "wiped, then a trace of silicone" }),
          Choice.new(key: "length_unit", group: :look_over, label: "Lengths are in", default: "mm",
            options: { "mm" => "millimetres", "inch" => "inches" }),

          Number.new(key: "drying_hours", group: :drying, label: "Drying time", unit: "h", range: 1..96, default: 24,
            hint: "Where the model sheet gives none."), # common practice: a day
          Number.new(key: "drying_temperature_c", group: :drying, label: "Drying room, temperature", unit: "°C",
            range: -20..50, whole: false, hint: "Leave empty if you take no readings."),
          Number.new(key: "drying_humidity_percent", group: :drying, label: "Drying room, humidity", unit: "%",
            range: 0..100, whole: false, hint: "Damp air makes parts dry longer."),

          *PromiseRules::ALL,

          # House rules; that they shorten, and in which order, is common practice.
          Number.new(key: "pets_percent", group: :households, label: "Pets that shed", default: 75,
            **PERCENT_OF_INTERVAL),
          Number.new(key: "dust_percent", group: :households, label: "Building dust", default: 70,
          **PERCENT_OF_INTERVAL),
          Number.new(key: "long_hair_percent", group: :households, label: "Long hair", default: 90,
          **PERCENT_OF_INTERVAL),
          Number.new(key: "daily_percent", group: :households, label: "Daily use", default: 80, **PERCENT_OF_INTERVAL),
          Number.new(key: "smoker_percent", group: :households, label: "Smokers", default: 85, **PERCENT_OF_INTERVAL),

          Choice.new(key: "parts_first", group: :shelf, label: "Proposed first are", default: "makers",
            options: { "makers" => "the maker's own parts", "price" => "what costs least a month of its life" }),

          *Cards::Channels::ALL.map do |channel|
            Number.new(key: "#{channel.key}_lead_days", group: :cards,
              label: "#{channel.words.sub(/\A./, &:upcase)}, days ahead",
              unit: "days", range: 0..90, default: channel.lead_days, hint: "Before the due date.")
          end,
          Number.new(key: "bundle_days", group: :cards, label: "Bundle tasks within", unit: "days", range: 0..180,
            default: 45,
            hint: "Tasks due this close together share one card."), # house rule
          Number.new(key: "follow_up_gap_days", group: :cards, label: "Repeat after", unit: "days", range: 7..365,
            default: 30,
            hint: "If nobody answers."), # house rule
          Number.new(key: "quiet_days", group: :cards, label: "Quiet after a hand-over", unit: "days", range: 0..365,
            default: 60, hint: "No card to a customer who was just here, unless they asked for one."), # house rule
          # House rule
          Number.new(key: "most_follow_ups", group: :cards, label: "Repeat at most", unit: "times", range: 0..5,
            default: 2),
          Number.new(key: "write_again_days", group: :cards, label: "Write anew after", unit: "days", range: 90..1095,
            default: 365, hint: "Who did not answer the last card is written to once more then."), # house rule
          Choice.new(key: "card_size", group: :cards, label: "A printed card is", default: "a6",
            options: { "a6" => "A6, 148 × 105 mm", "inch_4x6" => "4 × 6 inches" }),
          Choice.new(key: "card_layout", group: :cards, label: "The address is", default: "printed",
            options: { "printed" => "on the right, with a line down the middle",
                       "window" => "where a C6 envelope has its window" }),

          *MoneyRules::ALL,

          Number.new(key: "review_days", group: :shelf, label: "Reorder every", unit: "days", range: 1..90, default: 7),
          Number.new(key: "parcel_fitted_days", group: :shelf, label: "A parcel is taken to be fitted after",
            unit: "days", range: 1..90, default: 10, hint: "When nobody says anything."), # house rule
          Number.new(key: "service_level_percent", group: :shelf, label: "Chance of not running out", unit: "%",
            range: 50.0..99.9,
            default: 95.0, whole: false, hint: "Before the next delivery."),

          *Written::ALL,

          *Printing::ALL,

          MoneyRules::BILLS_KEPT,
          Number.new(key: "kept_years", group: :records, label: "Suggest deleting customers after", unit: "years",
            range: 1..50,
            default: 10, hint: "Counted from their last job.")
        ].freeze

        BY_KEY = ALL.to_h { |policy| [policy.key, policy] }.freeze

        module_function

        # @raise [KeyError]
        def fetch(key)
          BY_KEY.fetch(key)
        end

        # @return [Object, nil]
        def default(key)
          fetch(key).default
        end

        # @return [Hash{Symbol=>Object}] defaults, as fields of a value
        def defaults(*keys)
          keys.to_h { |key| [key.to_sym, default(key)] }
        end

        # @return [Array<Number>]
        def numbers
          ALL.grep(Number)
        end

        # @return [Array<Choice>]
        def choices
          ALL.grep(Choice)
        end

        # @param group [Symbol]
        # @return [Array<Number, Choice>] in the order of the settings page
        def of(group)
          ALL.select { |policy| policy.group == group }
        end
      end
    end
  end
end
