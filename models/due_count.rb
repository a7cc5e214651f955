# frozen_string_literal: true

module UprightBench
  module Models
    # How many running dues that a customer may hear of fall on a day, by how often they were written about. The
    # database counts; what counts is the sum of the rows of a day.
    class DueCount < Sequel::Model(:due_counts)
    end
  end
end
