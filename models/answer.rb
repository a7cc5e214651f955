# frozen_string_literal: true

module UprightBench
  module Models
    # What came back to a card.
    class Answer < Sequel::Model(:answers)
      many_to_one :card
    end
  end
end
