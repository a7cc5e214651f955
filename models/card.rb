# frozen_string_literal: true

module UprightBench
  module Models
    # A reminder for one customer with the tasks it names.
    class Card < Sequel::Model(:cards)
      many_to_one :customer
      many_to_one :batch
      many_to_one :offer
      one_to_many :lines, class: "UprightBench::Models::CardLine"
      many_to_many :dues, join_table: :card_lines
      one_to_one :message
      one_to_one :earning
      one_to_many :answers, order: :id

      dataset_module do
        # Those that left and did not come back, each with the day and the time at which it left.
        def reached
          messages = Message.where(state: %w[handed_over unsure]).select(:card_id, :leaves_on, :handed_over_at)
          join(messages, { card_id: :id }, table_alias: :messages).select_all(:cards)
            .select_append(:leaves_on, :handed_over_at).from_self(alias: :cards)
        end

        # Each beside the dues that it named.
        def beside_dues
          left_join(:card_lines, { card_id: Sequel[:cards][:id], void: false })
            .left_join(:dues, { id: Sequel[:card_lines][:due_id] })
        end
      end

      # @param all [Array<CardLine>] its own
      # @return [Array<CardLine>] what it named to the customer; of a card that reached nobody, what it would have
      #   named: somebody may read it all the same
      def named(all = lines)
        left = all.reject(&:void)
        left.empty? ? all : left
      end

      # @return [Array<Integer>]
      def due_ids
        named.map(&:due_id)
      end
    end
  end
end
