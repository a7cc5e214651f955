# frozen_string_literal: true

module UprightBench
  module Models
    # A code that was given to a customer, and the machine that they registered with it.
    class Registration < Sequel::Model(:registrations)
      many_to_one :customer
      many_to_one :machine

      dataset_module do
        where :sent_in, state: "sent_in"
      end

      # @return [Boolean] whether the customer may still say something else
      def open?
        %w[given sent_in].include?(state)
      end
    end
  end
end
