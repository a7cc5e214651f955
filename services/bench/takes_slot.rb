# frozen_string_literal: true

module UprightBench
  module Services
    # A slot of the rack is kept for another job, whose promise would break. Whoever is at the rack may take it all the
    # same.
    class TakesSlot < Refused; end
  end
end
