# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # Runs by events: so many bags or washes since the start, one for every `each_hours` of use or `each_months`.
      class Count < Clock
        include Value

        fields :limit, goes_by: :condition, of: nil, each_hours: nil, each_months: nil

        COUNTED = %w[bags washes].freeze
        DECIDES = "count"
        CHOICES = COUNTED.to_h { |counted| [counted, { "kind" => "count", "of" => counted }] }.freeze
        CHOICE_WORDS = COUNTED.to_h { |counted| [counted, counted] }.freeze

        # Bags and washes both come round faster in a dusty home.
        def shortened_by_household?(_task)
          true
        end

        def by_use?
          !each_hours.nil?
        end

        # What was counted is taken as it stands on the day of counting; only the rest is predicted.
        def runs_out(run, factor)
          from = run.progress.counted_on || run.start
          left = [limit - run.progress.counted, 0].max
          each_hours ? run.by_use(from, left * each_hours * factor) : run.by_calendar(from, left * each_months, factor)
        end

        def reason_key
          :"after_#{of}"
        end

        def limits
          { of.to_sym => limit }
        end

        def progress_figures(progress, _conditions)
          progress.counted.zero? ? {} : { counted: progress.counted }
        end

        def progress_mark(progress, _conditions)
          progress.counted
        end

        private

        def check_kind
          raise ArgumentError, "a count says what it counts: #{COUNTED.join(' or ')}" unless COUNTED.include?(of)
          raise ArgumentError, "a count needs each_hours or each_months" unless each_hours || each_months
        end
      end
    end
  end
end
