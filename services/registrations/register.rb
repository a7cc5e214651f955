# frozen_string_literal: true

module UprightBench
  module Services
    # What a customer says of a machine behind a code: kept until the counter confirms it or turns it down. Until then
    # they may say it anew.
    module Register
      module_function

      # @param said [Hash{String=>Object}] as typed, and found to be right
      # @raise [Refused] when it is settled
      def call(registration, said, at:)
        DB.transaction do
          registration.lock!
          raise Refused, "Your machine is on our book already." if registration.state == "confirmed"
          raise Refused, "This code was used already." unless registration.open?

          registration.update(state: "sent_in", said: Sequel.pg_jsonb(said), sent_in_at: at)
          History.note("registered", registration, by: Actor.customer_by_code(registration), at: at)
        end
      end

      # @param machine [Models::Machine] that was put on file
      # @raise [Refused] when it is settled
      def confirm(registration, machine, by:, at:)
        settle(registration, "confirmed", by, at, machine_id: machine.id, customer_id: machine.customer_id)
      end

      # @raise [Refused] when it is settled
      def turn_down(registration, by:, at:)
        settle(registration, "turned_down", by, at)
      end

      # What was typed is on file now, or is nobody's business any more.
      def settle(registration, state, by, at, **more)
        DB.transaction do
          registration.lock!
          raise Refused, "This registration is settled already." unless registration.state == "sent_in"

          registration.update(state: state, said: Sequel.pg_jsonb({}), settled_by: by.id, settled_at: at, **more)
          History.note(state.tr("_", " "), registration, by: by, at: at)
        end
      end
      private_class_method :settle
    end
  end
end
