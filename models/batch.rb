# frozen_string_literal: true

module UprightBench
  module Models
    # Cards that were written together and leave together, or each on its day.
    class Batch < Sequel::Model(:batches)
      one_to_many :cards, order: :id
      one_to_many :messages, order: :id

      # @return [Hash{String=>Integer}] how many messages there are in each state
      def counts
        messages_dataset.unordered.group_and_count(:state).naked.as_hash(:state, :count)
      end
    end
  end
end
