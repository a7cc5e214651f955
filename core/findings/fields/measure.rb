# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      module Fields
        # A number with its unit and sane limits: beyond them something else was measured. Lengths are kept in
        # millimetres and written as the shop writes lengths.
        class Measure < Field
          include Value

          # @!attribute unit [String] "mm", "%" or "min"
          # @!attribute range [Range]
          fields :unit, :range, needs: nil

          def length?
            unit == "mm"
          end

          def check_value(value)
            return if value.is_a?(Numeric) && value.to_f.finite? && range.cover?(value)

            raise ArgumentError, "it is a number from #{range.begin} to #{range.end} #{unit}"
          end

          # @param shop_unit [Symbol] :mm or :inch
          # @return [String] the unit that stands behind the field
          def unit_words(shop_unit)
            length? ? Units::Length::WORDS.fetch(shop_unit) : unit
          end

          def typed(value, unit:)
            length? ? Units::Length.show(value, unit: unit) : format("%g", value)
          end

          def sample_values
            [range.begin, (range.begin + range.end) / 2, range.end]
          end
        end
      end
    end
  end
end
