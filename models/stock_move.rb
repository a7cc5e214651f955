# frozen_string_literal: true

module UprightBench
  module Models
    # One movement of stock: received, used, returned, counted or sold.
    class StockMove < Sequel::Model(:stock_moves)
      many_to_one :part
      many_to_one :job
      many_to_one :bill
      many_to_one :mover, class: "UprightBench::Models::Person", key: :moved_by
    end
  end
end
