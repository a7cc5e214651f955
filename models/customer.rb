# frozen_string_literal: true

module UprightBench
  module Models
    # A person or firm, and the channels agreed to.
    class Customer < Sequel::Model(:customers)
      plugin :optimistic_locking
      one_to_many :machines, order: :id
      one_to_many :cards, order: Sequel.desc(:id)
    end
  end
end
