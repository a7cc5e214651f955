# frozen_string_literal: true

module UprightBench
  module Services
    # The shop's policies: the stored ones over the defaults, handed to the core as its own values.
    class Policies
      # key => default, the range that makes sense, unit and words. One row here is one field in the settings.
      NUMBERS = {
        "bag_limit_percent" => [50, 10..100, "%", "Change a bag when it is this full"],
        "bin_limit_percent" => [66, 10..100, "%", "Empty a bin when it is this full"],
        "washes_in_a_life" => [12, 1..100, "washes", "A washable filter is replaced after"],
        "battery_limit_percent" => [60, 10..95, "%", "Offer a new pack when it runs below this share of its time when new"],
        "drying_hours" => [24, 1..96, "h", "A washed part dries for, where its sheet says nothing"],
        "room_temperature_c" => [nil, -20..50, "°C", "Drying room, temperature"],
        "room_humidity_percent" => [nil, 0..100, "%", "Drying room, humidity"],
        "promise_buffer_minutes" => [120, 0..960, "min", "Spare time on every promise, in open hours"],
        "pets_percent" => [75, 40..100, "%", "Pets that shed: washing, cleaning and bags come round after this share of the time"],
        "dust_percent" => [70, 40..100, "%", "Building dust: after this share of the time"],
        "long_hair_percent" => [90, 40..100, "%", "Long hair: after this share of the time"],
        "daily_percent" => [80, 40..100, "%", "Used daily: after this share of the time"],
        "smoker_percent" => [85, 40..100, "%", "Smokers: after this share of the time"],
        "bundle_days" => [45, 0..180, "days", "Tasks due within this time of each other share a card"],
        "post_lead_days" => [21, 0..90, "days", "A card by post leaves ahead of the due date by"],
        "email_lead_days" => [10, 0..90, "days", "A card by e-mail leaves ahead of the due date by"],
        "text_lead_days" => [10, 0..90, "days", "A text message leaves ahead of the due date by"],
        "phone_lead_days" => [7, 0..90, "days", "A customer who wants to be called is called ahead of the due date by"],
        "follow_up_gap_days" => [30, 7..365, "days", "An unanswered card is repeated after"],
        "most_follow_ups" => [2, 0..5, "times", "An unanswered card is repeated at most"],
        "labour_an_hour" => [60, 0..1000, "$", "An hour of bench time costs, without tax"],
        "labour_step_minutes" => [15, 1..120, "min", "Bench time is charged in steps of"],
        "least_labour_minutes" => [15, 0..240, "min", "The least bench time charged"],
        "labour_tax_percent" => [0.0, 0.0..50.0, "%", "Tax on bench time"],
        "part_tax_percent" => [0.0, 0.0..50.0, "%", "Tax on parts"],
        "estimate_valid_days" => [14, 1..365, "days", "The prices of an offer hold for"],
        "kept_years" => [10, 1..50, "years", "A customer who was not here for so long is offered to be forgotten"],
        "service_level_percent" => [95.0, 50.0..99.9, "%", "How sure the shelf should be to last until the next order is there"],
        "review_days" => [7, 1..90, "days", "What is short is looked at, and ordered, every"]
      }.freeze
      # key => default, the schools with their words, what it is about
      CHOICES = {
        "length_unit" => ["mm", { "mm" => "millimetres", "inch" => "inches" }, "Lengths are typed and shown in"],
        "seal_school" => ["dry", { "dry" => "wiped, dry", "silicone" => "wiped, then a trace of silicone" }, "A seal that binds is"],
        "card_size" => ["a6", { "a6" => "A6, 148 × 105 mm", "inch_4x6" => "4 × 6 inches" }, "A post card is"],
        "card_layout" => ["printed", { "printed" => "on the right, with a line down the middle", "window" => "where an envelope of C6 has its window" }, "Its address stands"],
        "tax_rounding" => ["total", { "total" => "once, on the total", "line" => "line by line" }, "Tax is rounded to the cent, halves to the even one,"]
      }.freeze
      DAYS = %w[mon tue wed thu fri sat sun].freeze
      WORKING_DAY = { "08:30" => "12:30", "13:00" => "17:30" }.freeze
      OPEN_HOURS = { "mon" => WORKING_DAY, "tue" => WORKING_DAY, "wed" => WORKING_DAY, "thu" => WORKING_DAY, "fri" => WORKING_DAY,
                     "sat" => { "09:00" => "13:00" } }.freeze

      # @return [Policies] as stored now
      def self.now
        new(Models::Policy.select_hash(:key, :value))
      end

      def initialize(stored = {})
        @stored = stored
      end

      # @return [Numeric, nil]
      def number(key)
        @stored.fetch(key) { NUMBERS.fetch(key).first }
      end

      # @return [String] the school followed
      def choice(key)
        @stored.fetch(key) { CHOICES.fetch(key).first }
      end

      # @return [Core::Findings::Policy]
      def findings
        numbers = %w[bag_limit_percent bin_limit_percent washes_in_a_life battery_limit_percent].to_h { |key| [key.to_sym, number(key)] }
        Core::Findings::Policy.new(**numbers, silicone: choice("seal_school") == "silicone", length_unit: choice("length_unit").to_sym)
      end

      # @return [Core::Money::Policy]
      def money
        Core::Money::Policy.new(rate_cents_an_hour: number("labour_an_hour") * 100, step_minutes: number("labour_step_minutes"),
                                least_minutes: number("least_labour_minutes"), labour_tax_percent: number("labour_tax_percent"),
                                part_tax_percent: number("part_tax_percent"), rounding: choice("tax_rounding").to_sym)
      end

      # @return [Float] a probability
      def service_level
        number("service_level_percent") / 100.0
      end

      # @return [Hash{Symbol=>Float}] trait of a household => what an interval is multiplied by
      def household_factors
        Core::Use::Household::FACTORS.keys.to_h { |trait| [trait, number("#{trait}_percent") / 100.0] }
      end

      # @return [Core::Cards::Policy]
      def cards
        Core::Cards::Policy.new(**%w[bundle_days post_lead_days email_lead_days text_lead_days phone_lead_days follow_up_gap_days most_follow_ups]
          .to_h { |key| [key.to_sym, number(key)] })
      end

      # @return [Core::Drying::Air, nil] nil until both were read
      def room
        temperature = number("room_temperature_c")
        humidity = number("room_humidity_percent")
        Core::Drying::Air.new(temperature_c: temperature, humidity_percent: humidity) if temperature && humidity
      end

      # @return [Hash{String=>Hash}] day => opening times
      def open_hours
        @stored.fetch("open_hours", OPEN_HOURS).to_h
      end

      # @return [Array<Date>]
      def holidays
        @stored.fetch("holidays", []).map { |day| Date.iso8601(day) }
      end

      # @return [OpenHours]
      def schedule
        @schedule ||= OpenHours.for(hours: open_hours, holidays: holidays, time_zone: SETTINGS.time_zone)
      end
    end
  end
end
