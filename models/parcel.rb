# frozen_string_literal: true

module UprightBench
  module Models
    # Parts on their way to a customer by post.
    class Parcel < Sequel::Model(:parcels)
      many_to_one :bill
      many_to_one :customer
      many_to_one :machine
      many_to_one :card

      # state => words
      STATES = { "packed" => "packed", "sent" => "on its way", "fitted" => "fitted at home",
                 "came_back" => "came back" }.freeze

      dataset_module do
        where :under_way, state: %w[packed sent]
      end
    end
  end
end
