# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # A number as the shop writes it.
      #
      #   Figure.words(2.50)               # => "2.5", or "2,5" in a shop that writes commas
      #   Figure.words(2.5, decimals: 2)   # => "2.50"
      module Figure
        module_function

        # @param number [Numeric]
        # @param decimals [Integer, nil] as many as it needs, six figures at most, when nil
        # @return [String]
        def words(number, decimals: nil)
          return number.to_s if number.is_a?(Integer) && !decimals

          format(decimals ? "%.#{decimals}f" : "%g", number).tr(".", Writing.now.mark)
        end
      end
    end
  end
end
