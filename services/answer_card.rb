# frozen_string_literal: true

module UprightBench
  module Services
    # What a customer says to a card changes the clocks, the machine or the consent. Said twice is said once.
    class AnswerCard
      # In the order of the page's buttons. The words are the customer's.
      KINDS = {
        "will_come" => "I will come by", "send_part" => "Please send me the part", "done_elsewhere" => "It has been done",
        "not_now" => "Not now", "no_longer_have" => "I no longer have the machine", "stop_writing" => "Stop writing to me"
      }.freeze
      EXPECTED_DAYS = 45 # after "I will come" or "send it" we wait this long before writing again (house rule)
      PUT_OFF_WEEKS = { "4" => "in four weeks", "8" => "in eight weeks", "13" => "in three months" }.freeze

      # @param card [Models::Card]
      # @param kind [String] one of KINDS
      # @param note [String, nil]
      # @param weeks [String] one of PUT_OFF_WEEKS, for "not_now"
      # @param machine_id [Integer, nil] which machine is gone; all on the card when left out
      # @return [Models::Answer]
      def self.call(card, kind:, at:, note: nil, weeks: "4", machine_id: nil)
        new(card, kind, at, note, weeks, machine_id).call
      end

      def initialize(card, kind, at, note, weeks, machine_id)
        raise Invalid, { kind: ["Choose one of the answers."] } unless KINDS.key?(kind)

        @card = card
        @kind = kind
        @at = at
        @today = Config::Zone.date(at)
        @note = note
        @weeks = PUT_OFF_WEEKS.key?(weeks) ? weeks.to_i : raise(Invalid, { weeks: ["Choose when we may write again."] })
        @machine_id = machine_id
      end

      def call
        DB.transaction do
          @card.lock!
          said = Models::Answer.first(card_id: @card.id, kind: @kind)
          next said if said

          send(@kind)
          @card.update(answered_at: @at)
          answer = Models::Answer.create(card_id: @card.id, kind: @kind, note: @note, answered_at: @at)
          History.note("answered", @card, by: nil, at: @at, data: { kind: @kind, note: @note })
          answer
        end
      end

      private

      def open_dues
        Models::Due.running.where(id: @card.lines_dataset.select(:due_id))
      end

      def will_come
        snooze(EXPECTED_DAYS)
      end
      alias send_part will_come

      def not_now
        snooze(@weeks * 7)
      end

      def snooze(days)
        open_dues.update(snoozed_until: @today + days)
      end

      def done_elsewhere
        open_dues.eager(:machine).all.group_by(&:machine).each do |machine, dues|
          done = dues.group_by(&:position).transform_values { |rows| rows.map { |due| due.action.to_sym } }
          SetClocks.call(machine, done: done, on: @today, why: "done elsewhere, as the customer said")
        end
      end

      def no_longer_have
        machines = Models::Due.where(id: @card.lines_dataset.select(:due_id)).select_map(:machine_id).uniq
        machines &= [@machine_id] if @machine_id
        raise Invalid, { machine_id: ["That machine is not on this card."] } if machines.empty?

        Models::Machine.where(id: machines).update(state: "sold", lock_version: Sequel[:lock_version] + 1)
        Models::Due.running.where(machine_id: machines).update(state: "ended", closed_on: @today)
      end

      def stop_writing
        @card.customer.update(stopped_on: @today, email_agreed: false, post_agreed: false)
      end
    end
  end
end
