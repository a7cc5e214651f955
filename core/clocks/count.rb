# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      # Runs by events: so many bags or washes since the start, one for every `each_hours` of use or `each_months`.
      class Count < Clock
        include Value

        fields :limit, of: nil, each_hours: nil, each_months: nil

        COUNTED = { "bags" => "bag", "washes" => "wash" }.freeze # many and one
        DECIDES = "count"
        CHOICES = COUNTED.keys.to_h { |counted| [counted, { "kind" => "count", "of" => counted }] }.freeze
        CHOICE_WORDS = COUNTED.keys.to_h { |counted| [counted, counted] }.freeze

        # Bags and washes both come round faster in a dusty home.
        def shortened_by_household?(_task)
          true
        end

        # What was counted is taken as it stands on the day of counting; only the rest is predicted.
        def runs_out(run, factor)
          from = run.progress.counted_on || run.start
          left = [limit - run.progress.counted, 0].max
          each_hours ? run.by_use(from, left * each_hours * factor) : run.by_calendar(from, left * each_months, factor)
        end

        def progress_words(progress, _conditions)
          ", #{progress.counted} counted so far"
        end

        def progress_figure(progress, _conditions)
          progress.counted
        end

        private

        def said
          "#{limit} #{limit == 1 ? COUNTED.fetch(of) : of}"
        end

        def check_kind
          raise ArgumentError, "a count says what it counts: #{COUNTED.keys.join(' or ')}" unless COUNTED.key?(of)
          raise ArgumentError, "a count needs each_hours or each_months" unless each_hours || each_months
        end
      end
    end
  end
end
