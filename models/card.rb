# frozen_string_literal: true

module UprightBench
  module Models
    # A reminder for one customer with the tasks it names.
    class Card < Sequel::Model(:cards)
      many_to_one :customer
      many_to_one :batch
      many_to_one :bonus
      one_to_many :lines, class: "UprightBench::Models::CardLine"
      many_to_many :dues, join_table: :card_lines
      one_to_one :message
      one_to_many :answers, order: :id

      # @return [Array<Integer>] the dues that it named to the customer
      def due_ids
        lines.reject(&:void).map(&:due_id)
      end
    end
  end
end
