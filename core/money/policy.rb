# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # What a shop charges and how it counts. Percents are numbers or text ("14.975"); prices are without tax.
      class Policy
        include Value

        fields rate_cents_an_hour: Policies::Table.default("labour_an_hour") * 100,
          step_minutes: Policies::Table.default("labour_step_minutes"),
          least_minutes: Policies::Table.default("least_labour_minutes"),
          rounding: Policies::Table.default("tax_rounding").to_sym,
               **Policies::Table.defaults("labour_tax_percent", "part_tax_percent")

        ROUNDINGS = %i[total line].freeze

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

        # @param cents [Integer] a part's price
        # @return [Integer] with the tax on it
        def with_part_tax(cents)
          (cents * (1 + tax_share(:part))).round
        end

        # @param kind [Symbol] :labour or :part
        # @return [String] of tax, as it is set
        def percent(kind)
          (kind == :labour ? labour_tax_percent : part_tax_percent).to_s.delete_suffix(".0")
        end

        # @param kind [Symbol] :labour or :part
        # @return [Rational] as a share
        def tax_share(kind)
          Rational(percent(kind)) / 100
        end

        private

        def check
          raise ArgumentError, "tax is rounded by the total or by the line" unless ROUNDINGS.include?(rounding)
          raise ArgumentError, "steps are whole minutes above 0" unless step_minutes.positive?
        end
      end
    end
  end
end
