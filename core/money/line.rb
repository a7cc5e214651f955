# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # One line of an estimate: bench time or a part, priced as the shop's prices are, with tax or without. `key` names
      # the part and where it goes, so that two estimates can be compared; `off_cents` is taken off it; `covered` is
      # what the maker pays; `tax_class` is a class of the shop's own (TaxClass), where it is not that of its kind.
      class Line
        include Value

        fields :kind, :words, :price_cents, off_cents: 0, key: nil, note: nil, covered: false, tax_class: nil

        KINDS = %i[labour part].freeze

        # @return [Integer] what the customer pays
        def charged_cents
          covered ? 0 : price_cents - off_cents
        end

        # @return [String] whose tax it bears: as Policy#percent takes it
        def taxed_as
          tax_class || kind.to_s
        end

        private

        def check
          raise ArgumentError, "a line is labour or a part" unless KINDS.include?(kind)
          unless price_cents.is_a?(Integer) && !price_cents.negative?
            raise ArgumentError, "cents are whole and not negative"
          end
          return if off_cents.is_a?(Integer) && off_cents.between?(0, price_cents)

          raise ArgumentError, "no more is taken off than it costs"
        end
      end
    end
  end
end
