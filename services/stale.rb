# frozen_string_literal: true

module UprightBench
  module Services
    # Somebody else saved first. Nothing was overwritten; the message says who and what.
    class Stale < Error; end
  end
end
