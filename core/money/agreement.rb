# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # What a customer agreed to: how much, which parts, and up to where they need not be called. Without an agreement
      # nothing is agreed but what costs nothing.
      class Agreement
        include Value

        # @!attribute part_keys [Array<String>] keys of the estimate's part lines
        # @!attribute call_above_cents [Integer, nil] no call is needed up to this total
        # @!attribute warranty_name [String, nil] who agreed that the maker's warranty may end
        fields total_cents: 0, part_keys: [], call_above_cents: nil, warranty_name: nil

        NONE = new

        # @param estimate [Estimate] of the job as it stands
        # @param ends_warranty [Boolean] whether the work may end the maker's warranty
        # @return [Boolean] whether all of it may be done without asking again
        def covers?(estimate, ends_warranty: false)
          within?(estimate) && (!ends_warranty || !warranty_name.nil?)
        end

        # @return [Boolean] no other part and no more money than was agreed, or so little that the customer need not be
        #   called
        def within?(estimate)
          return true if (estimate.part_keys - part_keys).empty? && estimate.total_cents <= total_cents

          !call_above_cents.nil? && estimate.total_cents <= call_above_cents
        end
      end
    end
  end
end
