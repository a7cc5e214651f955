# frozen_string_literal: true

module UprightBench
  module Models
    # What was paid, or given back. Never changed.
    class Payment < Sequel::Model(:payments)
      many_to_one :bill
      many_to_one :job
      many_to_one :taker, class: "UprightBench::Models::Person", key: :taken_by

      # @return [Integer] what went over the counter
      def counted_cents
        cents + rounded_cents
      end
    end
  end
end
