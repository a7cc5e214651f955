# frozen_string_literal: true

module UprightBench
  module Services
    # The root of what a service may answer with instead of a result.
    class Error < Core::Error; end
  end
end
