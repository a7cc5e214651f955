# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A sheet that breaks rules, with every one of them.
      class Invalid < Error
        # @return [Array<Problem>]
        attr_reader :problems

        def initialize(problems)
          @problems = problems.freeze
          super(problems.join("; "))
        end
      end
    end
  end
end
