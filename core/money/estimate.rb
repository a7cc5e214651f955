# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # What a job will cost: lines, tax by class, and the total, in whole cents.
      class Estimate
        include Priced

        attr_reader :lines, :policy

        alias to_lines lines

        # @param lines [Array<Line>]
        # @param policy [Policy]
        def initialize(lines:, policy:)
          @lines = lines
          @policy = policy
        end

        # @return [Integer] without tax
        def net_cents
          charged_cents - (@policy.with_tax? ? tax_cents : 0)
        end

        # @return [Hash{String=>Integer}] tax by what its lines are taxed as, those without tax left out
        def taxes
          @taxes ||= by_class.to_h { |taxed_as, lines| [taxed_as, tax(taxed_as, lines)] }
            .reject { |_, cents| cents.zero? }
        end

        # @return [Array<TaxRow>] by rate, the highest first; their tax is that of the classes, so that an estimate and
        #   its bill say the same
        def tax_rows
          rows = by_class.group_by { |taxed_as, _| @policy.percent(taxed_as) }
          rows.map { |percent, classes| tax_row(percent, classes.to_h) }.sort_by { |row| -Rational(row.percent) }
        end

        def tax_cents
          taxes.values.sum
        end

        def total_cents
          charged_cents + (@policy.with_tax? ? 0 : tax_cents)
        end

        # @return [Array<String>] of the lines for parts
        def part_keys
          @lines.select { |line| line.kind == :part }.map(&:key)
        end

        private

        def charged_cents
          @lines.sum(&:charged_cents)
        end

        def by_class
          @lines.group_by(&:taxed_as)
        end

        def tax_row(percent, classes)
          charged = classes.values.flatten.sum(&:charged_cents)
          tax = classes.keys.sum { |taxed_as| taxes.fetch(taxed_as, 0) }
          TaxRow.new(percent: percent, net_cents: @policy.with_tax? ? charged - tax : charged, tax_cents: tax)
        end

        # Once for all lines of a class, or line by line, as the shop has it.
        def tax(taxed_as, lines)
          charged = lines.map(&:charged_cents)
          charged = [charged.sum] if @policy.rounding == :total
          charged.sum { |cents| @policy.tax_cents(cents, taxed_as) }
        end
      end
    end
  end
end
