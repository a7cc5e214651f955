# frozen_string_literal: true

module UprightBench
  module Services
    # The shop as it stands on papers and pages.
    module ShopOnFile
      module_function

      # @return [Models::Shop]
      def call
        Models::Shop.the
      end

      # @return [Array(Models::Shop, Policies)] read together
      def with_policies
        shop, set = Models::Shop.with_policies
        [shop, Policies.new(set)]
      end
    end
  end
end
