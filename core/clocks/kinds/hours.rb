# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      module Kinds
        # Runs by use: so many hours since the start, at the machine's rate.
        class Hours < Clock
          RANK = 1
          CHOICES = { "hours" => { "kind" => "hours" } }.freeze
          CARD_TEXTS = { after_hours: %i[why_hours hours] }.freeze
          EXAMPLES = { after_hours: { hours: 50, rate: 1.5, household: 0.75, traits: %i[pets] } }.freeze

          def by_use?
            true
          end

          def follows_findings?(_task)
            true
          end

          def runs_out(run, factor)
            run.by_use(run.start, limit * factor)
          end

          def reason_key
            :after_hours
          end

          def limits
            { hours: limit }
          end

          def progress_figures(_progress, conditions)
            { rate: conditions.rate }
          end

          def progress_mark(_progress, conditions)
            conditions.rate_mark
          end
        end
      end
    end
  end
end
