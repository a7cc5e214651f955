# frozen_string_literal: true

module UprightBench
  module Core
    module Intake
      # What came with a machine, counted in and counted out again.
      class Accessories
        # @param counted_in [Hash{String=>Integer}] name => pieces
        def initialize(counted_in)
          @counted_in = counted_in
        end

        # @param counted_out [Hash{String=>Integer}]
        # @return [Hash{String=>Integer}] what does not go back, name => pieces
        def missing(counted_out)
          @counted_in.to_h { |name, pieces| [name, pieces - counted_out.fetch(name, 0)] }
            .select { |_, pieces| pieces.positive? }
        end

        # @return [String] as in "2 × crevice tool, wand"
        def self.words(counted)
          counted.map { |name, pieces| pieces == 1 ? name : "#{pieces} × #{name}" }.join(", ")
        end
      end
    end
  end
end
