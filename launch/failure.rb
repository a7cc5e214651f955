# frozen_string_literal: true

require_relative "../core/error"

module UprightBench
  module Launch
    # Something that keeps the application from starting, in one line for the person at the terminal.
    class Failure < Core::Error; end
  end
end
