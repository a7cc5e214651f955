# frozen_string_literal: true

module UprightBench
  module Services
    # A rule of the work says no. The message is for the person at the bench: what happened and what to do.
    class Refused < Error; end
  end
end
