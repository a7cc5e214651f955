# frozen_string_literal: true

module UprightBench
  module Formats
    # A file that cannot be read; `problems` are sentences that name the line, and the rule where one is broken.
    class Malformed < Core::Error
      # @return [Array<String>]
      attr_reader :problems

      def initialize(problems)
        @problems = problems
        super(problems.join(" "))
      end
    end
  end
end
