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
