# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # What a shop charges and how it counts. Percents are numbers or text ("14.975"); its prices are without tax or
      # with it.
      class Policy
        include Value

        fields rate_cents_an_hour: Policies::Table.default("labour_an_hour") * Currency.of(Currency::USUAL).units,
          step_minutes: Policies::Table.default("labour_step_minutes"),
          least_minutes: Policies::Table.default("least_labour_minutes"),
          rounding: Policies::Table.default("tax_rounding").to_sym,
          prices: Policies::Table.default("prices").to_sym, classes: [],
               **Policies::Table.defaults("labour_tax_percent", "part_tax_percent")

        ROUNDINGS = %i[total line].freeze
        PRICES = %i[without_tax with_tax].freeze

        # @param minutes [Numeric] hands-on
        # @return [Integer] minutes charged: up to the next step, and no fewer than the least
        def charged_minutes(minutes)
          return 0 unless minutes.positive?

          [(Rational(minutes) / step_minutes).ceil * step_minutes, least_minutes].max
        end

        # @return [Integer] cents for so many charged minutes
        def labour_cents(charged_minutes)
          Rounding.half_even(Rational(charged_minutes * rate_cents_an_hour, 60))
        end

        # @param cents [Integer] a part's price, as the shop's prices are
        # @param taxed_as [String]
        # @return [Integer] with the tax on it
        def with_tax(cents, taxed_as = "part")
          cents + (with_tax? ? 0 : Rounding.half_even(cents * tax_share(taxed_as)))
        end

        # @return [Boolean] whether prices hold their tax
        def with_tax?
          prices == :with_tax
        end

        # @param cents [Integer] charged
        # @param taxed_as [String]
        # @return [Integer] of tax, on it or in it
        def tax_cents(cents, taxed_as)
          share = tax_share(taxed_as)
          Rounding.half_even(with_tax? ? cents * share / (1 + share) : cents * share)
        end

        # @param taxed_as [String] "labour", "part" or the key of a class; one that is no longer known is taxed as parts
        # @return [String] of tax, as it is set
        def percent(taxed_as)
          own = classes.find { |known| known.key == taxed_as }
          (own&.percent || (taxed_as == "labour" ? labour_tax_percent : part_tax_percent)).to_s.delete_suffix(".0")
        end

        # @return [Array<String>] whatever may be taxed in a way of its own
        def taxed
          [*Line::KINDS.map(&:to_s), *classes.map(&:key)]
        end

        private

        # @return [Rational] as a share
        def tax_share(taxed_as)
          Rational(percent(taxed_as)) / 100
        end

        def check
          raise ArgumentError, "prices are without tax or with it" unless PRICES.include?(prices)
          raise ArgumentError, "tax is rounded by the total or by the line" unless ROUNDINGS.include?(rounding)
          raise ArgumentError, "steps are whole minutes above 0" unless step_minutes.positive?
        end
      end
    end
  end
end
