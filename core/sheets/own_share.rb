# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # How often a fault at a place is behind a complaint at this model, where the sheet knows better than the table of
      # all machines: of a hundred machines with the complaint, so many.
      class OwnShare
        include Value

        # @!attribute complaint [String] a key of Faults::Complaints
        # @!attribute fault [String] a key of Faults::Possible.at the kind of part
        # @!attribute percent [Numeric]
        fields :complaint, :fault, :percent

        MOST_PERCENT = 95 # of one complaint: something may always be nowhere on the sheet

        private

        def check
          known = Faults::Complaints::BY_KEY.key?(complaint.to_s.to_sym)
          raise ArgumentError, "there is no complaint #{complaint}" unless known
          return if percent.is_a?(Numeric) && percent.positive? && percent <= MOST_PERCENT

          raise ArgumentError, "of a hundred machines, from 1 to #{MOST_PERCENT}"
        end
      end
    end
  end
end
