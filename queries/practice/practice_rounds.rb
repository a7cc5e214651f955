# frozen_string_literal: true

module UprightBench
  module Queries
    # One's own rounds of practice.
    module PracticeRounds
      LAST = 20

      module_function

      # @return [Array<Models::PracticeRound>] the newest first, of those that are over
      def of(person)
        Models::PracticeRound.where(person_id: person.id).exclude(ended_at: nil).reverse(:id).limit(LAST).all
      end

      # @return [Array<Array(Integer, String)>] id and title of each model
      def models
        Models::Sheet.order(:maker, :model_name).exclude(current_version_id: nil).map { |sheet| [sheet.id, sheet.title] }
      end
    end
  end
end
