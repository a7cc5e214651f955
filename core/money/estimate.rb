# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # What a job will cost: lines, tax by class, and the total, in whole cents.
      class Estimate
        attr_reader :lines, :policy

        # @param lines [Array<Line>]
        # @param policy [Policy]
        def initialize(lines:, policy:)
          @lines = lines
          @policy = policy
        end

        # @return [Integer] without tax
        def net_cents
          @lines.sum(&:charged_cents)
        end

        # @return [Hash{Symbol=>Integer}] tax by kind of line, those without tax left out
        def taxes
          @taxes ||= @lines.group_by(&:kind).to_h { |kind, lines| [kind, tax(kind, lines)] }
            .reject { |_, cents| cents.zero? }
        end

        # @return [Array<TaxRow>] by rate, the highest first; their tax is that of the kinds of lines, so that an
        #   estimate and its bill say the same
        def tax_rows
          rows = @lines.group_by(&:kind).group_by { |kind, _| @policy.percent(kind) }
          rows.map { |percent, kinds| tax_row(percent, kinds.to_h) }.sort_by { |row| -Rational(row.percent) }
        end

        def tax_cents
          taxes.values.sum
        end

        def total_cents
          net_cents + tax_cents
        end

        # @return [Array<String>] of the lines for parts
        def part_keys
          @lines.select { |line| line.kind == :part }.map(&:key)
        end

        private

        def tax_row(percent, kinds)
          TaxRow.new(percent: percent, net_cents: kinds.values.flatten.sum(&:charged_cents),
            tax_cents: kinds.keys.sum { |kind| taxes.fetch(kind, 0) })
        end

        # Once for all lines of a kind, or line by line, as the shop has it.
        def tax(kind, lines)
          share = @policy.tax_share(kind)
          return Rounding.half_even(lines.sum(&:charged_cents) * share) if @policy.rounding == :total

          lines.sum { |line| Rounding.half_even(line.charged_cents * share) }
        end
      end
    end
  end
end
