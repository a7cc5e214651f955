# frozen_string_literal: true

module UprightBench
  module Core
    module Use
      # One reading about how much a machine runs: `hours` of use seen over `weeks`, read on a date.
      # kind: :meter (hour meter or the machine's own log), :strip (a time strip), :count (bags used).
      class Evidence
        include Value

        # @!attribute source [String, nil] what was read, as the place of a strip
        # @!attribute at_least [Boolean] it stood at the end of its scale
        fields :kind, :hours, :weeks, :read_on, source: nil, at_least: false

        # How much a reading of a kind is believed, 0 to 1 (house rule).
        QUALITY = { meter: 1.0, strip: 0.7, count: 0.5 }.freeze
        DAYS_A_YEAR = 365.25
        SAME_START_DAYS = 7 # two readings whose weeks begin so near to each other are of one strip (house rule)

        # Readings of one strip overlap: only the newest of each counts.
        # @param evidence [Array<Evidence>]
        # @return [Array<Evidence>]
        def self.newest_of_each(evidence)
          evidence.sort_by(&:read_on).reverse.each_with_object([]) do |reading, kept|
            kept << reading if kept.none? { |newer| newer.of_the_same?(reading) }
          end
        end

        # Full weight for a year, then halved with each further year (house rule).
        # @param today [Date]
        # @return [Float] 0 to 1
        def weight(today)
          years = (today - read_on).to_i / DAYS_A_YEAR
          QUALITY.fetch(kind) * (0.5**[years - 1, 0].max)
        end

        # @param today [Date]
        # @return [Array(Float, Float)] hours and weeks, by their weight
        def weighed(today)
          weight = weight(today)
          [hours * weight, weeks * weight]
        end

        # @return [Date] from which on it was counted
        def since_on
          read_on - (weeks * 7).round
        end

        # @return [Boolean] whether both were read off one strip
        def of_the_same?(other)
          !source.nil? && source == other.source && kind == other.kind &&
            (since_on - other.since_on).to_i.abs <= SAME_START_DAYS
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
