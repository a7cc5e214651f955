# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # How a gauge or a scale writes its lines, as a Pattern.
      #
      #   LineProfile.new(pattern: "{value} {unit}").read("-12.31 kPa")       # => Shown of 12.31, :pressure
      #   LineProfile.new(pattern: "{any};{value};{unit};{hold}")             # fields parted by semicolons
      #   LineProfile.new(pattern: "P={value}", unit: "mbar").read("P=+123")  # => Shown of 12.3, :pressure
      #   LineProfile.new(pattern: "{value} {unit}").read("182.5 g")          # => Shown of 182.5, :mass
      class LineProfile
        include Value

        PARTS = { "value" => "(?<value>#{Pattern::NUMBER})", "unit" => "(?<unit>[a-zA-Z₂³/0-9]+)",
                  "hold" => '(?<hold>\S*?)' }.freeze
        HELD = %w[h hold held 1 *].freeze # as gauges say that they hold a number still

        # @!attribute pattern [String]
        # @!attribute unit [String, nil] of what is written without one
        # @!attribute shows [Array<Symbol>] keys of Quantities
        fields :pattern, unit: nil, shows: Quantities::ALL.keys

        # @param line [String]
        # @return [Shown, nil] nil for what cannot be read so, and for a quantity that such a device does not show
        def read(line)
          shown(line, @quantities)
        end

        # @param line [String]
        # @return [Shown, nil] of a quantity that such a device does not show: it may be another device
        def read_beside(line)
          shown(line, Quantities::ALL.values - @quantities)
        end

        private

        def shown(line, quantities)
          found = @read.match(line) or return
          written = found.names.include?("unit") ? found[:unit] : unit
          number = found[:value].delete(" ").delete_prefix("+")
          quantities.each do |quantity|
            value = quantity.parse("#{number} #{written}")
            return Shown.new(value: value, what: quantity.key, held: held?(found)) if value
          end
          nil
        end

        def held?(found)
          found.names.include?("hold") && HELD.include?(found[:hold].to_s.downcase)
        end

        def check
          @read = Pattern.new(pattern, PARTS)
          @quantities = shows.map { |key| Quantities.fetch(key) }
          hold(@read.count("value") == 1, "a pattern has {value} once")
          hold(@read.count("unit") < 2 && @read.count("hold") < 2, "{unit} and {hold} stand once at most")
          hold(@read.count("any") <= Pattern::MOST_ANY, "{any} stands #{Pattern::MOST_ANY} times at most")
          hold(@read.count("unit") == 1 || known?(unit), "say the unit, here or by {unit} in the pattern")
        end

        def hold(kept, rule)
          raise ArgumentError, rule unless kept
        end

        def known?(unit)
          @quantities.any? { |quantity| quantity.unit?(unit.to_s) }
        end
      end
    end
  end
end
