# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # The table's shares, moved by what the shop's own closed jobs showed (Dirichlet–multinomial): the table counts as
      # twenty cases of a complaint.
      #
      #   LearnWeights.new({ "a" => 0.5, nil => 0.5 }, { "a" => 20 }).call  # => { "a" => 0.75, nil => 0.25 }
      class LearnWeights
        WORTH = 20.0 # cases

        # @param shares [Hash{String,nil=>Float}] of the table, which sum to one
        # @param counts [Hash{String,nil=>Numeric}] how many cases it was; what is not among the shares is left aside
        def initialize(shares, counts)
          @shares = shares
          @counts = counts.slice(*shares.keys)
        end

        # @return [Hash{String,nil=>Float}] which sum to one
        def call
          whole = WORTH + @counts.each_value.sum
          @shares.to_h { |cause, share| [cause, ((share * WORTH) + @counts.fetch(cause, 0)) / whole] }
        end
      end
    end
  end
end
