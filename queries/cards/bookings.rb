# frozen_string_literal: true

module UprightBench
  module Queries
    # Days that customers said they would come.
    module Bookings
      MOST = 40

      module_function

      # @return [Array<Models::Booking>] with their customers, the soonest first; those whose day is past among them
      def open
        booked.order(:drop_off_on, :id).limit(MOST).all
      end

      # @return [Array<Models::Booking>] all from a day on
      def from(today)
        booked.where(Sequel[:drop_off_on] >= today).order(:drop_off_on).all
      end

      # @return [Models::Booking, nil]
      def of_customer(customer_id)
        Models::Booking.booked.first(customer_id: customer_id)
      end

      # @return [Models::Booking, nil] that this card brought
      def of_card(card_id)
        Models::Booking.booked.first(card_id: card_id)
      end

      def booked
        Models::Booking.booked.eager(:customer)
      end
      private_class_method :booked
    end
  end
end
