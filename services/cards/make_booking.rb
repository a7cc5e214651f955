# frozen_string_literal: true

module UprightBench
  module Services
    # The day on which a customer brings a machine. One at a time: another day moves it.
    class MakeBooking
      MOST_DAYS_AHEAD = 120

      # @param customer [Models::Customer]
      # @param on [Date]
      # @return [Models::Booking]
      # @raise [Invalid] when the shop is closed that day, or it is too far off
      def self.call(customer, on:, by:, at:, card: nil)
        refuse_day(on, today: Config::Zone.date(at))
        DB.transaction do
          keep(customer, { drop_off_on: on, card_id: card&.id, booked_by: by.id, booked_at: at }).tap do |booking|
            History.note("booked booking", booking, by: by, at: at, data: { on: on.iso8601 })
          end
        end
      end

      def self.refuse_day(on, today:)
        unless on.between?(today, today + MOST_DAYS_AHEAD)
          raise Invalid, { drop_off_on: ["Choose a day from today on, within #{MOST_DAYS_AHEAD} days."] }
        end

        open_day = Policies.now.schedule.open_day(on)
        return if open_day == on

        closed, open = [on, open_day].map { |day| Core::Units::Writing.now.day(day, :short) }
        raise Invalid, { drop_off_on: ["We are closed on #{closed}; the next open day is #{open}."] }
      end
      private_class_method :refuse_day

      # @raise [Refused] when it was called off already, or the machine is here
      def self.call_off(booking, by:, at:)
        DB.transaction do
          booking.lock!
          raise Refused, "This booking is no longer booked." unless booking.state == "booked"

          booking.update(state: "called_off")
          History.note("called off booking", booking, by: by, at: at)
        end
      end

      def self.keep(customer, fields)
        booked = Models::Booking.booked.where(customer_id: customer.id).for_update.first
        booked ? booked.update(fields.compact) : Models::Booking.create(customer_id: customer.id, **fields)
      end
      private_class_method :keep
    end
  end
end
