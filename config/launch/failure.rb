# frozen_string_literal: true

module UprightBench
  module Config
    module Launch
      # Something that keeps the application from starting, in one line for the person at the terminal.
      class Failure < StandardError; end
    end
  end
end
