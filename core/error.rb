# frozen_string_literal: true

module UprightBench
  module Core
    # The root of all errors of our own. What is not one of these, nobody foresaw.
    class Error < StandardError; end
  end
end
