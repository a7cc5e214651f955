# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # Runs by the calendar, whatever the machine does.
      class Months < Clock
        DECIDES = "calendar"
        CHOICES = { "months" => { "kind" => "months" } }.freeze
        CHOICE_WORDS = { "months" => "months" }.freeze

        def runs_out(run, factor)
          run.by_calendar(run.start, limit, factor)
        end

        def reason_key
          :after_months
        end

        def limits
          { months: limit }
        end

        def progress_figures(_progress, _conditions)
          {}
        end

        private

        def check_kind
          raise ArgumentError, "months come whole" unless limit.is_a?(Integer)
        end
      end
    end
  end
end
