# frozen_string_literal: true

module UprightBench
  module Queries
    # Who is expected, and which reminders wait: what stands beside the bench. Five queries.
    class ExpectedToday
      MOST_BOOKINGS = 12
      WEEK = 7 # days

      # A customer who said they would come; with which machine and for what, where their card named one machine only.
      Booking = Struct.new(:customer_id, :customer, :drop_off_on, :machine_id, :tasks)
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
        rows = Models::Booking.booked.where(Sequel[:drop_off_on] <= today).join(:customers, id: :customer_id)
          .order(:drop_off_on, Sequel[:bookings][:id]).limit(MOST_BOOKINGS)
          .select_map(%i[customer_id name drop_off_on card_id])
        named = named_on(rows.filter_map(&:last))
        rows.map { |*row, card_id| Booking.new(*row, *one_machine(named.fetch(card_id, []))) }
      end

      # @return [Hash{Integer=>Array<Hash>}] by card, what of it is still due
      def self.named_on(card_ids)
        return {} if card_ids.empty?

        Models::Due.running.join(:card_lines, due_id: Sequel[:dues][:id], void: false)
          .where(Sequel[:card_lines][:card_id] => card_ids).order(Sequel[:dues][:due_on]).naked
          .select(:card_id, :machine_id, :action, :position_name).all.group_by { |row| row[:card_id] }
      end

      # @return [Array(Integer, Array<String>)]
      def self.one_machine(named)
        machines = named.map { |row| row[:machine_id] }.uniq
        return [] unless machines.one?

        [machines.first, named.map { |row| "#{row[:action]} #{row[:position_name].downcase}" }]
      end
      private_class_method :bookings, :named_on, :one_machine
    end
  end
end
