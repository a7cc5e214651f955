# frozen_string_literal: true

module UprightBench
  module Queries
    # Who is expected, and which reminders wait: what stands beside the bench. Four queries.
    class ExpectedToday
      MOST_BOOKINGS = 12
      WEEK = 7 # days

      # A customer who said they would come.
      Booking = Struct.new(:customer_id, :customer, :drop_off_on)
      Answer = Struct.new(:bookings, :due, :phone_calls, :need_attention, keyword_init: true)

      # @param today [Date]
      # @param policy [Core::Cards::Policy]
      # @return [Answer] `due` counts the tasks that fall due within a week
      def self.call(today:, policy:)
        Answer.new(bookings: bookings(today), due: Services::DueBook.weeks(today: today, days: WEEK, policy: policy)
          .fetch(0, 0),
          phone_calls: Services::HearAnswer.waiting_for_a_call(today: today).count,
          need_attention: Models::Message.for_a_person.count)
      end

      def self.bookings(today)
        Models::Booking.booked.where(Sequel[:drop_off_on] <= today).join(:customers, id: :customer_id)
          .order(:drop_off_on, Sequel[:bookings][:id]).limit(MOST_BOOKINGS)
          .select_map(%i[customer_id name drop_off_on]).map { |row| Booking.new(*row) }
      end
      private_class_method :bookings
    end
  end
end
