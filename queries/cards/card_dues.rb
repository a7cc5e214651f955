# frozen_string_literal: true

module UprightBench
  module Queries
    # What a card names to its customer, the soonest first, with machine and sheet.
    module CardDues
      module_function

      # @param card [Models::Card]
      # @return [Array<Models::Due>]
      def call(card)
        Core::Cards::DropCovered.from(Models::Due.where(id: card.due_ids).eager(machine: :sheet).order(:due_on).all)
      end
    end
  end
end
