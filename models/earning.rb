# frozen_string_literal: true

module UprightBench
  module Models
    # Free bench time that a card earned for a job.
    class Earning < Sequel::Model(:earnings)
      unrestrict_primary_key
    end
  end
end
