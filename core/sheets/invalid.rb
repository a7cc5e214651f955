# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A sheet that breaks rules. `problems` holds one sentence each, with the place in the sheet.
      class Invalid < StandardError
        attr_reader :problems

        def initialize(problems)
          @problems = problems.freeze
          super(problems.join("; "))
        end
      end
    end
  end
end
