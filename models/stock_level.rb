# frozen_string_literal: true

module UprightBench
  module Models
    # What lies on the shelf; kept by the database from the moves.
    class StockLevel < Sequel::Model(:stock_levels)
    end
  end
end
