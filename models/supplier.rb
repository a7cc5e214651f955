# frozen_string_literal: true

module UprightBench
  module Models
    # Whom parts are ordered from.
    class Supplier < Sequel::Model(:suppliers)
      one_to_many :parts
    end
  end
end
