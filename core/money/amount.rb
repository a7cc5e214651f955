# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # A sum as it is written on screen and paper.
      module Amount
        module_function

        # @param cents [Integer]
        # @return [String] as in "$16.50", and "-$0.05" for what is taken back
        def words(cents)
          whole, part = cents.abs.divmod(100)
          format("%<minus>s%<sign>s%<whole>d.%<part>02d", minus: ("-" if cents.negative?), sign: "$", whole: whole,
            part: part)
        end
      end
    end
  end
end
