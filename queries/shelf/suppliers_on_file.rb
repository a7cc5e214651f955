# frozen_string_literal: true

module UprightBench
  module Queries
    # The suppliers by name, with how many parts come from each.
    module SuppliersOnFile
      Row = Struct.new(:id, :name, :email, :lead_days, :learned_lead_days, :parts, keyword_init: true)

      module_function

      # @return [Array<Row>]
      def call
        parts = Models::Part.exclude(supplier_id: nil).group_and_count(:supplier_id).as_hash(:supplier_id, :count)
        Models::Supplier.order(:name).all.map do |supplier|
          Row.new(**supplier.values.slice(:id, :name, :email, :lead_days, :learned_lead_days),
            parts: parts.fetch(supplier.id, 0))
        end
      end
    end
  end
end
