# frozen_string_literal: true

module UprightBench
  module Screens
    module Drafts
      # Text of a form into plain data. What cannot be read stays text, which the sheet's own rules then refuse with
      # the right words.
      module Typed
        module_function

        # @return [String, nil]
        def words(text)
          text.to_s.strip.then { |plain| plain.empty? ? nil : plain }
        end

        # @return [Numeric, String, nil]
        def number(text)
          plain = words(text) or return
          return plain.to_i if plain.match?(/\A\d{1,9}\z/)

          plain.match?(/\A\d{1,9}[.,]\d{1,6}\z/) ? plain.tr(",", ".").to_f : plain
        end

        # @return [Hash{String=>Numeric, String}] without those left empty
        def numbers(typed)
          typed.is_a?(Hash) ? typed.transform_values { |text| number(text) }.compact : {}
        end

        # @return [Boolean, nil] nil is left out of a sheet
        def flag(text)
          text == "1" ? true : nil
        end

        # @return [Array<String>]
        def list(values)
          values.is_a?(Array) ? values.grep(String).map(&:strip).reject(&:empty?) : []
        end

        # The rows of a small table: "0" => fields, "1" => fields …
        # @return [Array<Hash>]
        def rows(value)
          value.is_a?(Hash) ? value.values.grep(Hash) : []
        end
      end
    end
  end
end
