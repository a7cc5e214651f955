# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # What has lines (`to_lines`), the tax and the total: an estimate, a bill, or either as it was kept.
      module Priced
        # Kept sums say it themselves: the lines then make up the total, and not the sum without tax.
        # @return [Boolean] whether the prices of its lines hold their tax
        def prices_with_tax?
          !tax_cents.zero? && to_lines.sum(&:charged_cents) == total_cents.abs
        end
      end
    end
  end
end
