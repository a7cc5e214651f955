# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # The shop rules about how days, times and figures are written (Units::Writing).
      module Written
        ALL = [
          Choice.new(key: "date_order", group: :writing, label: "Days are written", default: "dmy",
            options: { "dmy" => "5 Apr 2027", "mdy" => "Apr 5, 2027", "ymd" => "2027-04-05" }),
          Choice.new(key: "clock", group: :writing, label: "Times are written", default: "24",
            options: { "24" => "14:30", "12" => "2:30 pm" }),
          Choice.new(key: "decimal_mark", group: :writing, label: "Decimal mark", default: "currency",
            options: { "currency" => "as usual for the currency", "point" => "a point: 2.5",
                       "comma" => "a comma: 2,5" }),
          Choice.new(key: "week_start", group: :writing, label: "The week begins on", default: "mon",
            options: Week::DAYS.slice(*Week::STARTS))
        ].freeze
      end
    end
  end
end
