# frozen_string_literal: true

module UprightBench
  module Models
    # A day on which a customer said a machine will be brought.
    class Booking < Sequel::Model(:bookings)
      many_to_one :customer
      many_to_one :card

      dataset_module do
        where :booked, Sequel[:bookings][:state] => "booked"
      end
    end
  end
end
