# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # One reading about how much a machine runs: `hours` of use seen over `weeks`, read on a date.
      # kind: :meter (hour meter or the machine's own log), :strip (a time strip), :count (bags used).
      class Evidence
        include Value

        fields :kind, :hours, :weeks, :read_on

        # How much a reading of a kind is believed, 0 to 1 (house rule).
        QUALITY = { meter: 1.0, strip: 0.7, count: 0.5 }.freeze
        DAYS_A_YEAR = 365.25

        # Full weight for a year, then halved with each further year (house rule).
        # @param today [Date]
        # @return [Float] 0 to 1
        def weight(today)
          years = (today - read_on).to_i / DAYS_A_YEAR
          QUALITY.fetch(kind) * (0.5**[years - 1, 0].max)
        end

        private

        def check
          raise ArgumentError, "unknown kind #{kind}" unless QUALITY.key?(kind)
          raise ArgumentError, "hours must not be negative" if hours.negative?
          raise ArgumentError, "weeks must be positive" unless weeks.positive?
        end
      end
    end
  end
end
