# frozen_string_literal: true

module UprightBench
  module Models
    # What was checked in a round of practice.
    class PracticeCheck < Sequel::Model(:practice_checks)
    end
  end
end
