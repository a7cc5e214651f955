# frozen_string_literal: true

module UprightBench
  module Core
    module Clocks
      module Kinds
        # Runs by events: so many bags or washes since the start, one for every `each_hours` of use or `each_months`.
        class Count < Clock
          include Value

          fields :limit, goes_by: :condition, of: nil, each_hours: nil, each_months: nil

          COUNTED = %w[bags washes].freeze
          RANK = 3
          CHOICES = COUNTED.to_h { |counted| [counted, { "kind" => "count", "of" => counted }] }.freeze
          CARD_TEXTS = COUNTED.to_h { |counted| [:"after_#{counted}", [:why_counted, counted.to_sym]] }.freeze
          EXAMPLES = { after_bags: { bags: 4, counted: 1 }, after_washes: { washes: 2, counted: 0 } }.freeze

          # Bags and washes both come round faster in a dusty home.
          def shortened_by_household?(_task)
            true
          end

          def by_use?
            !each_hours.nil?
          end

          # The clock takes the count as it stood on the day of counting, and predicts only the rest.
          def runs_out(run, factor)
            counted = counted(run.progress)
            from = counted.zero? ? run.start : run.progress.counted_on
            after(run, from, [limit - counted, 0].max, factor)
          end

          # The shop sees its own bags and washes only; at home there are others. So what it counted says something once
          # it is more than was to be expected by then.
          # @param counted [Integer] since the start
          # @param run [Run]
          # @param today [Date]
          def ahead?(counted, run, today)
            return false unless counted.positive?

            expected, = after(run, run.start, counted, 1)
            expected.nil? || expected >= today
          end

          def reason_key
            :"after_#{of}"
          end

          def limits
            { of.to_sym => limit }
          end

          def progress_figures(progress, _conditions)
            counted(progress).zero? ? {} : { counted: counted(progress) }
          end

          def progress_mark(progress, _conditions)
            counted(progress)
          end

          private

          def counted(progress)
            progress.counted.fetch(of, 0)
          end

          # The day after which so many have come round.
          def after(run, from, times, factor)
            if each_hours
              run.by_use(from,
                times * each_hours * factor)
            else
              run.by_calendar(from, times * each_months, factor)
            end
          end

          def check_kind
            raise ArgumentError, "a count says what it counts: #{COUNTED.join(' or ')}" unless COUNTED.include?(of)
            raise ArgumentError, "a count needs each_hours or each_months" unless each_hours || each_months
          end
        end
      end
    end
  end
end
