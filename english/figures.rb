# frozen_string_literal: true

module UprightBench
  module English
    # The figures of a reason, as they are written in a sentence. What a figure is, its name says: `_mm`, `_on`,
    # `_minutes`.
    class Figures
      # Figures that are counted: name, or the end of it => one of them, and many.
      COUNTED = { months: %w[month months], days: %w[day days], jobs: %w[job jobs], bags: %w[bag bags],
                  washes: %w[wash washes], steps: %w[step steps] }.freeze
      # Figures that are keys.
      WORDS = { whose: { "sheet" => "its sheet says to change it", "shop" => "we change it" },
                setting: { "run_minutes" => "at the normal setting", "run_minutes_full" => "at full power" },
                free_place: { "seat" => "a seat at the bench", "wet_bench" => "a wet bench" },
                traits: Core::Use::Household::WORDS.transform_keys(&:to_s) }.freeze

      # @param figures [Hash{Symbol=>Object}]
      # @param unit [Symbol] in which lengths are written
      def initialize(figures, unit)
        @figures = figures
        @unit = unit
      end

      # @return [Boolean] whether all of these are there
      def all?(names)
        names.all? { |name| @figures.key?(name) }
      end

      # @param name [Symbol]
      # @return [String]
      def words(name)
        value = @figures.fetch(name)
        return keyed(name, value) if WORDS.key?(name)
        return "#{number(value)} #{COUNTED.fetch(counted(name))[value == 1 ? 0 : 1]}" if counted(name)
        return Core::Units::Length.words(value, unit: @unit) if name.end_with?("_mm")
        return Core::Units::Duration.words(value) if name.end_with?("_minutes")

        plain(value)
      end

      private

      def keyed(name, value)
        Array(value).map { |key| WORDS.fetch(name).fetch(key.to_s) }.join(", ")
      end

      def counted(name)
        last = name.name.split("_").last.to_sym
        last if COUNTED.key?(last)
      end

      def plain(value)
        case value
        when Core::Reason then Sentences.of(value, unit: @unit)
        when Array then List.of(value.map { |item| plain(item) })
        when Date then Core::Units::Day.words(value)
        else number(value.is_a?(Float) ? value.round(2) : value)
        end
      end

      def number(value)
        value.is_a?(Float) ? Core::Units::Figure.words(value) : value.to_s
      end
    end
  end
end
