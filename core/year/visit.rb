# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # Where a plan stands after a visit: its day and number, what is due next, what was done on it, and how many days
      # early all was done so far. Singles are done on the last visit within their window: until that is past, they only
      # count as seen to.
      Visit = Struct.new(:day, :dues, :done, :early, :number, :last, :before, keyword_init: true) do
        alias_method :last?, :last # nothing more must be done after it

        # @return [Array(Integer, Integer)] of a plan that ends here: fewer visits before less done early
        def cost
          [number, early]
        end

        # @return [Array<Visit>] all up to this one, in order
        def all
          visits = []
          visit = self
          while visit.before
            visits.unshift(visit)
            visit = visit.before
          end
          visits
        end
      end
    end
  end
end
