# frozen_string_literal: true

module UprightBench
  module Models
    # One task on a card.
    class CardLine < Sequel::Model(:card_lines)
      unrestrict_primary_key
      many_to_one :due
    end
  end
end
