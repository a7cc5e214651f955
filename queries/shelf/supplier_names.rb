# frozen_string_literal: true

module UprightBench
  module Queries
    # The names of all suppliers, to choose from.
    module SupplierNames
      def self.call
        Models::Supplier.order(:name).select_map(:name)
      end
    end
  end
end
