# frozen_string_literal: true

module UprightBench
  module Models
    # A customer's own washed part that waits for its turn; part_id nil is the one the machine was bought with.
    class Spare < Sequel::Model(:spares)
      many_to_one :part

      dataset_module do
        where :waiting, used_item_id: nil
      end
    end
  end
end
