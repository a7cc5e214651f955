# frozen_string_literal: true

module UprightBench
  module Services
    # There is no such thing, or it does not belong to what it was asked of.
    class NotFound < Error; end
  end
end
