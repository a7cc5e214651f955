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
    end
  end
end
