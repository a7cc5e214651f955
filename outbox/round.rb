# frozen_string_literal: true

module UprightBench
  module Outbox
    # Hands over what may leave of a batch, slice by slice, one process at a time.
    #
    # What is about to happen is committed first, so that whoever comes after a crash knows that it may have happened,
    # and asks the channel. Where a channel cannot tell, it is given one message at a time, and a person decides about
    # that one.
    class Round
      # Each channel's class of the same name.
      CHANNELS = Core::Cards::Channels::ORDER.to_h { |key| [key.to_s, Outbox.const_get("#{key.capitalize}Channel")] }
        .freeze
      LOCK_SPACE = 4610 # the first half of our advisory locks' numbers; the second is the batch's id
      SLICE = 100       # messages
      BUSY_SECONDS = 5  # until it is asked again whether another process is through with it
      OPENS_AT = 9      # o'clock, when what is kept for a later day leaves

      # @param batch_id [Integer]
      # @param at [Time, nil] now when left out
      # @param slice [Integer]
      def initialize(batch_id, at: nil, slice: SLICE, settings: SETTINGS)
        @batch_id = batch_id
        @at = at
        @slice = slice
        @channels = CHANNELS.transform_values { |channel| channel.new(settings) }
      end

      # @return [Time, nil] when to come again; nil when the batch is over or somebody must act first
      def call
        DB.synchronize { alone { work } }
      end

      private

      # The lock falls with the connection if the process dies.
      def alone
        key = @batch_id % (2**31)
        return now + BUSY_SECONDS unless DB.get(Sequel.function(:pg_try_advisory_lock, LOCK_SPACE, key))

        begin
          yield
        ensure
          unlock(key)
        end
      end

      # With the connection gone the lock is gone too.
      def unlock(key)
        DB.get(Sequel.function(:pg_advisory_unlock, LOCK_SPACE, key))
      rescue Sequel::DatabaseError
        nil
      end

      def work
        left_over
        @channels.each_key do |channel|
          while leaving? && (slice = claim(channel)).any?
            HandOver.new(slice, @channels.fetch(channel), at: now).call
          end
        end
        finish
      end

      def now
        @at || Time.now
      end

      def today
        Config::Zone.date(now)
      end

      def leaving?
        Models::Batch.where(id: @batch_id, state: "leaving").any?
      end

      # With the lock in hand, whatever is being handed over was left there by a crash.
      def left_over
        Models::Message.where(batch_id: @batch_id, state: "handing_over").order(:id).all.each do |message|
          case @channels.fetch(message.channel).fate(message)
          when :arrived then message.update(state: "handed_over", handed_over_at: now, last_error: nil)
          when :not_arrived then message.update(state: "queued")
          when :unknown then message.update(state: "unsure")
          end
        end
      end

      # @return [Array<Models::Message>]
      def claim(channel)
        size = @channels.fetch(channel).certain? ? @slice : 1
        ids = waiting(channel).order(:leaves_on, :id).limit(size).select_map(:id)
        claimed = Models::Message.where(id: ids, state: Models::Message::WAITING)
        claimed.returning.update(state: "handing_over", tries: Sequel[:tries] + 1)
          .map { |row| Models::Message.call(row) }.sort_by(&:id)
      end

      def waiting(channel)
        Models::Message.where(batch_id: @batch_id, channel: channel, state: Models::Message::WAITING)
          .where(Sequel[:leaves_on] <= today).where(Sequel.|({ next_try_at: nil }, Sequel[:next_try_at] <= now))
      end

      def finish
        DB.transaction do
          batch = Models::Batch.where(id: @batch_id).for_update.first
          next unless batch.state == "leaving"

          waiting = batch.messages_dataset.unordered.where(state: Models::Message::WAITING)
          next batch.update(state: "done", finished_at: now) && nil if waiting.empty?

          next_time(waiting)
        end
      end

      def next_time(waiting)
        tomorrow = waiting.where(Sequel[:leaves_on] > today).min(:leaves_on)
        [waiting.where(Sequel[:leaves_on] <= today).min(:next_try_at), tomorrow && Config::Zone.at(tomorrow, OPENS_AT)]
          .compact.min
      end
    end
  end
end
