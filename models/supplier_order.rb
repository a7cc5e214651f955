# frozen_string_literal: true

module UprightBench
  module Models
    # Parts ordered from a supplier at one time.
    class SupplierOrder < Sequel::Model(:supplier_orders)
      many_to_one :supplier
      many_to_one :orderer, class: "UprightBench::Models::Person", key: :ordered_by
      one_to_many :lines, class: "UprightBench::Models::OrderLine", key: :order_id, order: :id

      dataset_module do
        where :waiting, closed_at: nil
      end
    end
  end
end
