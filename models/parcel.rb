# frozen_string_literal: true

module UprightBench
  module Models
    # Parts on their way to a customer by post.
    class Parcel < Sequel::Model(:parcels)
      many_to_one :bill
      many_to_one :customer
      many_to_one :machine
      many_to_one :card

      # @return [String]
      def state_words
        Core::Shelf::ParcelStates::WORDS.fetch(state)
      end

      dataset_module do
        where :under_way, state: %w[packed sent]
      end
    end
  end
end
