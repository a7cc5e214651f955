# frozen_string_literal: true

module UprightBench
  module Models
    # A place left out of a look-over, with the reason.
    class Skip < Sequel::Model(:skips)
      NOT_FITTED = "not fitted"

      unrestrict_primary_key
      many_to_one :job

      def not_fitted?
        reason == NOT_FITTED
      end
    end
  end
end
