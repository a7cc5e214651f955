# frozen_string_literal: true

module UprightBench
  module Services
    # This person's role does not allow it.
    class Forbidden < Error; end
  end
end
