# frozen_string_literal: true

module UprightBench
  module Queries
    # The names of all suppliers, to choose from.
    module SupplierNames
      def self.call
        Models::Supplier.order(:name).select_map(:name)
      end

      # @return [Array<Array(Integer, String)>]
      def self.with_ids
        Models::Supplier.order(:name).select_map(%i[id name])
      end
    end
  end
end
