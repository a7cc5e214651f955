# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # Which measures a sheet may give for each kind of part, with their words and units. What a kind has none of is
      # told by looking. A sheet may carry others; they are kept.
      module Measures
        SIZES = { "length_mm" => "Length, mm", "width_mm" => "Width, mm", "diameter_mm" => "Diameter, mm" }.freeze
        BY_KIND = {
          filter: SIZES,
          belt: SIZES.slice("length_mm", "width_mm"),
          brush: { "new_standout_mm" => "Bristles beyond the guide bars when new, mm",
                   "dial_settings" => "Settings of the height dial" },
          bag: { "hours_a_bag" => "Hours a bag lasts", "change_at_percent" => "Its own line, %",
                 "hygiene_days" => "Longest use, days" },
          battery: { "run_minutes" => "Run time when new, normal setting, min",
                     "run_minutes_full" => "Run time when new, full power, min" },
          carbon: { "new_length_mm" => "Length when new, mm", "least_length_mm" => "Least length, mm" }
        }.freeze

        # @param kind [Symbol]
        # @param given [Hash{String=>Numeric}] what the sheet has already
        # @return [Hash{String=>String}] measure => words
        def self.of(kind, given = {})
          known = BY_KIND.fetch(kind, {})
          known.merge((given.keys - known.keys).to_h { |key| [key, key.tr("_", " ")] })
        end
      end
    end
  end
end
