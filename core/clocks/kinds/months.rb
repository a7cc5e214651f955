# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      module Kinds
        # Runs by the calendar, whatever the machine does.
        class Months < Clock
          RANK = 2
          CHOICES = { "months" => { "kind" => "months" } }.freeze
          CARD_TEXTS = { after_months: %i[why_months months] }.freeze
          EXAMPLES = { after_months: { months: 12, personal: 1.2 } }.freeze

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
end
