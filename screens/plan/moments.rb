# frozen_string_literal: true

module UprightBench
  module Screens
    module Plan
      # A day and a time of day on the shop's clock, as a browser's field has them.
      module Moments
        TYPED = /\A\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?\z/

        module_function

        # @return [Time, nil] nil for a day or an hour that there is not
        def read(text)
          return unless text.is_a?(String) && text.match?(TYPED)

          date, clock = text.split("T")
          hour, minute = clock.split(":").map(&:to_i)
          Config::Zone.at(Date.strptime(date, "%Y-%m-%d"), hour, minute) if hour < 24 && minute < 60
        rescue Date::Error
          nil
        end

        # @param time [Time]
        # @return [String]
        def write(time)
          Config::Zone.local(time).strftime("%Y-%m-%dT%H:%M")
        end
      end
    end
  end
end
