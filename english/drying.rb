# frozen_string_literal: true

module UprightBench
  module English
    # Why a part dries as long as it does (Core::Drying).
    module Drying
      TEXTS = {
        floor_of_sheet: "the sheet's own {hours} h",
        usual_hours: "{hours} h, the shop's usual time",
        air: "room at {temperature} °C and {humidity} %: × {factor}",
        no_air: "no room reading, taken as it stands",
        not_shaken: "not shaken out: × {factor}",
        draught: "in a cool draught: × {factor}",
        never_below: "never below {hours} h",
        too_long: "over {days} days in this air: dry it elsewhere",
        will_not_dry: "room at {humidity} % humidity: it will not dry here, find another place"
      }.freeze
    end
  end
end
