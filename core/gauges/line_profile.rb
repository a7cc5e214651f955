# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # How a gauge writes its lines, as a pattern: what stands in braces is read, all else is as it stands, and a space
      # is any number of spaces.
      #
      #   LineProfile.new(pattern: "{value} {unit}").read("-12.31 kPa")       # => Shown of 12.31, :pressure
      #   LineProfile.new(pattern: "{any};{value};{unit};{hold}")             # fields parted by semicolons
      #   LineProfile.new(pattern: "P={value}", unit: "mbar").read("P=+123")  # => Shown of 12.3, :pressure
      class LineProfile
        include Value

        PARTS = { "value" => '(?<value>[-+−]?\s*\d+(?:[.,]\d+)?)', "unit" => "(?<unit>[a-zA-Z₂³/0-9]+)",
                  "hold" => '(?<hold>\S*?)', "any" => ".*?" }.freeze
        HELD = %w[h hold held 1 *].freeze # as gauges say that they hold a number still
        LONGEST = 200
        MOST_ANY = 4 # more would let a line be tried in too many ways

        # @!attribute pattern [String]
        # @!attribute unit [String, nil] of what is written without one
        fields :pattern, unit: nil

        # @param line [String]
        # @return [Shown, nil] nil for what cannot be read so
        def read(line)
          found = @expression.match(line.to_s[0, LONGEST].strip) or return
          written = found.names.include?("unit") ? found[:unit] : unit
          number = found[:value].delete(" ")
          Suction::Quantity::UNITS.each_key do |what|
            value = Suction::Quantity.parse("#{number.delete_prefix('+')} #{written}", what)
            return Shown.new(value: value, what: what, held: held?(found)) if value
          end
          nil
        end

        private

        def held?(found)
          found.names.include?("hold") && HELD.include?(found[:hold].to_s.downcase)
        end

        def expression
          parts = pattern.scan(/\{\w+\}|\s+|[^{\s]+|\{/).map { |part| part_of(part) }
          Regexp.new("\\A#{parts.join}\\z")
        end

        def part_of(part)
          return '\s*' if part.match?(/\A\s/)

          PARTS.fetch(part[/\A\{(\w+)\}\z/, 1]) { Regexp.escape(part) }
        end

        def check
          hold(count("value") == 1, "a pattern has {value} once")
          hold(count("unit") < 2 && count("hold") < 2, "{unit} and {hold} stand once at most")
          hold(count("any") <= MOST_ANY, "{any} stands #{MOST_ANY} times at most")
          hold(count("unit") == 1 || known?(unit), "say the unit, here or by {unit} in the pattern")
          @expression = expression
        end

        def count(part)
          pattern.scan("{#{part}}").size
        end

        def hold(kept, rule)
          raise ArgumentError, rule unless kept
        end

        def known?(unit)
          Suction::Quantity::UNITS.each_value.any? { |units| units.key?(unit.to_s.downcase) }
        end
      end
    end
  end
end
