# frozen_string_literal: true

module UprightBench
  module Services
    # Hands one notice to its channel. What cannot be delivered stands on the list of those to be called, or on the
    # page of the bill that it was to bring.
    class HandNotice
      MOST_TRIES = 5

      # @param id [Integer]
      def self.call(id, at:)
        notice = claim(id) or return
        new(notice, at).call
      end

      # @return [Models::Notice, nil] nil where there is nothing to do any more
      def self.claim(id)
        DB.transaction do
          notice = Models::Notice.where(id: id).for_update.first
          next unless notice && %w[waiting handing_over].include?(notice.state)

          notice.update(state: "handing_over", tries: notice.tries + 1)
        end
      end

      def initialize(notice, at)
        @notice = notice
        @at = at
      end

      def call
        return to_call("it may have been sent already") if begun_before? && !channel.certain?

        channel.tell(@notice, Models::Shop.the, **attached)
        @notice.update(state: "handed_over", told_at: @at, last_error: nil)
      rescue Outbox::Rejected, Outbox::InDoubt => e
        to_call(e.message)
      rescue StandardError => e
        return to_call(e.message) if @notice.tries >= MOST_TRIES

        @notice.update(last_error: e.message[0, 300])
        raise # the queue tries it again, later each time
      end

      private

      # @return [Hash] the bill that it is about
      def attached
        bill = @notice.bill or return {}
        { paper: ["#{bill.title.downcase.tr(' ', '-')}.pdf", PrintedBill.new(bill).render] }
      end

      def begun_before?
        @notice.tries > 1 && @notice.last_error.nil?
      end

      def channel
        @channel ||= Outbox.const_get("#{@notice.channel.capitalize}Channel").new(SETTINGS)
      end

      def to_call(why)
        @notice.update(state: "to_call", last_error: why.to_s[0, 300])
      end
    end
  end
end
