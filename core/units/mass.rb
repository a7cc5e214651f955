# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # Masses as scales write them, kept in grams.
      #
      # 1 lb = 453.59237 g and 1 oz = 1/16 lb, exactly (international yard and pound, 1959).
      module Mass
        UNITS = { "g" => 1.0, "kg" => 1000.0, "lb" => 453.59237, "oz" => 453.59237 / 16 }.freeze
        RANGE = (0..20_000) # grams; nothing that is washed weighs more
        WRITTEN = /\A\s*(?<number>\d+(?:[.,]\d+)?)\s*(?<unit>[a-zA-Z]*)\s*\z/

        module_function

        # @param text [String] a number, with its unit or in grams
        # @return [Float, nil] grams; nil when it is none, or beyond what there is
        def parse(text)
          found = WRITTEN.match(text.to_s[0, 40]) or return
          factor = UNITS[found[:unit].empty? ? "g" : found[:unit].downcase] or return
          grams = found[:number].tr(",", ".").to_f * factor
          grams if RANGE.cover?(grams)
        end

        # @return [String] as in "182.5 g"
        def words(grams)
          "#{Figure.words(grams.round(1))} g"
        end
      end
    end
  end
end
