# frozen_string_literal: true

module UprightBench
  module Models
    # A date that moved, and why.
    class DueChange < Sequel::Model(:due_changes)
    end
  end
end
