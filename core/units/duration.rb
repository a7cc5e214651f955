# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # A length of time as people say it.
      #
      #   Duration.words(25)    # => "25 min"
      #   Duration.words(190)   # => "3 h 10"
      #   Duration.words(4080)  # => "2 d 20 h"
      module Duration
        HOUR = 60 # minutes
        DAY = 24 * HOUR

        module_function

        # @param minutes [Numeric] rounded up to whole minutes; from a day on to whole hours
        # @return [String]
        def words(minutes)
          whole = minutes.ceil
          return "#{whole} min" if whole < HOUR
          return hours(whole) if whole < DAY

          days, rest = ((whole + HOUR - 1) / HOUR).divmod(24)
          rest.zero? ? "#{days} d" : "#{days} d #{rest} h"
        end

        def hours(minutes)
          hours, rest = minutes.divmod(HOUR)
          rest.zero? ? "#{hours} h" : format("%<hours>d h %<rest>02d", hours: hours, rest: rest)
        end
        private_class_method :hours
      end
    end
  end
end
