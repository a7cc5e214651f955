# frozen_string_literal: true

module UprightBench
  module Outbox
    # Hands one message over, once. What is about to happen is committed first, so that whoever comes after a
    # crash knows that it may have happened, and asks the channel. Where the channel cannot tell, a person decides.
    class Deliver
      CHANNELS = { "email" => MailChannel, "post" => PostChannel }.freeze
      LOCK_SPACE = 4610 # the first half of our advisory locks' numbers; the second is the message's id

      # @param message_id [Integer]
      def self.call(message_id, at: Time.now)
        DB.synchronize { alone(message_id) { new(message_id, at).call } }
      end

      # One process at a time for each message; the lock falls with the connection if the process dies.
      def self.alone(message_id)
        key = message_id % (2**31)
        return unless DB.get(Sequel.function(:pg_try_advisory_lock, LOCK_SPACE, key))

        begin
          yield
        ensure
          DB.get(Sequel.function(:pg_advisory_unlock, LOCK_SPACE, key))
        end
      end
      private_class_method :alone

      def initialize(message_id, at)
        @message = Models::Message.with_pk!(message_id)
        @channel = CHANNELS.fetch(@message.channel).new(SETTINGS)
        @at = at
      end

      def call
        return if %w[handed_over unsure].include?(@message.state)

        @message.state == "handing_over" ? after_crash : hand_over
      end

      private

      def hand_over
        @message.update(state: "handing_over", tries: @message.tries + 1)
        @channel.deliver(@message, CardLetter.of(@message.card), Models::Shop.the)
        handed_over
      rescue StandardError => e
        @message.update(state: "failed", last_error: e.message[0, 500])
        raise
      end

      def after_crash
        case @channel.fate(@message)
        when :arrived then handed_over
        when :not_arrived then hand_over
        when :unknown then @message.update(state: "unsure")
        end
      end

      def handed_over
        @message.update(state: "handed_over", handed_over_at: @at, last_error: nil)
      end
    end
  end
end
