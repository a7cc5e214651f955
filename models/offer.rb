# frozen_string_literal: true

module UprightBench
  module Models
    # Free bench time that a card offers with the part that it names: from when to when, and to whom.
    class Offer < Sequel::Model(:offers)
      dataset_module do
        where :running, ended_at: nil
      end
    end
  end
end
