# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      module Kinds
        # Runs by what a strip or a grey reference shows, in percent, extrapolated linearly from its last reading.
        class Indicator < Clock
          RANK = 4
          CHOICES = { "indicator" => { "kind" => "indicator" } }.freeze
          CARD_TEXTS = { at_full_indicator: %i[why_indicator] }.freeze
          EXAMPLES = { at_full_indicator: { percent: 60 } }.freeze
          FULL_PERCENT = 100

          # It has a reading of its own.
          def condition?
            false
          end

          # It says what this very household does.
          def shortened_by_household?(_task)
            false
          end

          # Nobody has to guess a reading: its day is certain.
          def runs_out(run, _factor)
            read = run.progress.indicator
            return unless read&.positive?

            read_on = run.progress.indicator_on
            return run.certain(read_on) if read >= limit

            run.certain(run.start + ((read_on - run.start).to_i * limit / read.to_f).floor)
          end

          def reason_key
            :at_full_indicator
          end

          def limits
            {}
          end

          def progress_figures(progress, _conditions)
            { percent: progress.indicator, read_on: progress.indicator_on }
          end

          def progress_mark(progress, _conditions)
            (progress.indicator_on.jd * 1000) + progress.indicator
          end

          private

          def check_kind
            raise ArgumentError, "an indicator counts percent" if limit > FULL_PERCENT
          end
        end
      end
    end
  end
end
