# frozen_string_literal: true

module UprightBench
  module Services
    # What a customer says to a card changes the clocks, the machine or the consent. Said twice is said once.
    class AnswerCard
      # In the order of the page's buttons. The words are the customer's, in English.
      KINDS = %w[will_come send_part done_elsewhere not_now no_longer_have
                 stop_writing].to_h { |kind| [kind, Core::Cards::Texts::PAGE.fetch(kind.to_sym).first] }.freeze
      ONE_OF = %w[will_come send_part done_elsewhere not_now].freeze # the one said last stands
      EXPECTED_DAYS = 45 # after "I will come" or "send it" we wait this long before writing again (house rule)
      AFTER_BOOKING_DAYS = 14 # and after a day that was named, this long (house rule)
      PUT_OFF_WEEKS = [4, 8, 13].freeze
      MOST_WEEKS = 104

      # @param card [Models::Card]
      # @param kind [String] one of KINDS
      # @param note [String, nil]
      # @param weeks [String, Integer] when to write again, for "not_now"
      # @param machine_id [Integer, nil] which machine is gone; all on the card when left out
      # @param drop_off_on [Date, nil] the day named, for "will_come"
      # @param address [Hash{Symbol=>String}, nil] where a part is to go: street, town, region, postcode; as on
      #   file where nil
      # @param how [String] a key of KeepConsent::HOW: from where it was said
      # @param by [Models::Person, Actor] who wrote it down, or the customer or mail program itself
      # @return [Models::Answer]
      # @raise [Invalid]
      def self.call(card, kind:, by:, at:, note: nil, weeks: "4", machine_id: nil, drop_off_on: nil, how: "page",
        address: nil)
        new(card, kind, at, note: note, weeks: weeks, machine_id: machine_id, drop_off_on: drop_off_on, how: how,
          by: by, address: address).call
      end

      def initialize(card, kind, at, note:, weeks:, machine_id:, drop_off_on:, how:, by:, address:)
        raise Invalid, { kind: ["Choose one of the answers."] } unless KINDS.key?(kind)

        @card = card
        @kind = kind
        @at = at
        @today = Config::Zone.date(at)
        @note = note
        @weeks = weeks_of(weeks)
        @machine_id = machine_id
        @drop_off_on = drop_off_on
        @how = how
        @address = address
        @by = by
      end

      def call
        DB.transaction do
          @card.lock!
          said = Models::Answer.first(card_id: @card.id, kind: @kind)
          book if @kind == "will_come" && @drop_off_on
          next said if said

          send(@kind)
          @card.update(answered_at: @at)
          History.note("answered", @card, by: @by, at: @at, data: { kind: @kind, note: @note }.compact)
          Models::Answer.create(card_id: @card.id, kind: @kind, note: @note, answered_at: @at, written_by: @by.id,
            address: (Sequel.pg_jsonb(@address) if @address && @kind == "send_part"))
        end
      end

      private

      def weeks_of(text)
        weeks = text.to_s[/\A\d{1,3}\z/].to_i
        return weeks if weeks.between?(1, MOST_WEEKS)

        raise Invalid, { weeks: ["Choose when we may write again."] }
      end

      def open_dues
        Models::Due.running.where(id: @card.due_ids)
      end

      def will_come
        snooze(EXPECTED_DAYS) unless @drop_off_on
      end

      # Another day named later moves the booking.
      def book
        MakeBooking.call(@card.customer, on: @drop_off_on, card: @card, by: @by, at: @at)
        snooze((@drop_off_on - @today).to_i + AFTER_BOOKING_DAYS)
      end

      # An address that is given where none is on file goes on file.
      def send_part
        whole = @address.nil? || @address.values_at(:street, :town).all?
        raise Invalid, { address: ["Where to send it? Street and town are needed."] } unless whole && send_to?

        @card.customer.update(@address) if @address && @card.customer.street.nil?
        snooze(EXPECTED_DAYS)
      end

      # What is told on the phone may be asked for later.
      def send_to?
        @address || @card.customer.street || @how != "page"
      end

      def not_now
        snooze(@weeks * 7)
      end

      def snooze(days)
        open_dues.update(snoozed_until: @today + days)
      end

      def done_elsewhere
        open_dues.eager(:machine).all.group_by(&:machine).each do |machine, dues|
          done = dues.group_by(&:position)
            .transform_values { |rows| rows.flat_map { |due| Core::Clocks::Task::DONE_BY.fetch(due.action.to_sym) } }
          SetClocks.call(machine, done: done, on: @today, why: "done elsewhere, as the customer said")
        end
      end

      def no_longer_have
        machines = Models::Due.where(id: @card.due_ids).select_map(:machine_id).uniq
        machines &= [@machine_id] if @machine_id
        raise Invalid, { machine_id: ["That machine is not on this card."] } if machines.empty?

        Models::Machine.where(id: machines).update(state: "sold", lock_version: Sequel[:lock_version] + 1)
        Models::Due.running.where(machine_id: machines).update(state: "ended", closed_on: @today)
      end

      def stop_writing
        KeepConsent.stop(@card.customer, how: @how, by: @by, at: @at)
      end
    end
  end
end
