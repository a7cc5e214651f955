# frozen_string_literal: true

module UprightBench
  module Services
    # Tells a customer about a job by the way they agreed to, or puts it on the list of those to be called.
    class Tell
      # The queue's job that hands one over. What was begun and not ended, where the channel cannot tell whether it
      # arrived, a person decides.
      class Work < Que::Job
        def run(notice_id)
          HandNotice.call(notice_id, at: Time.now)
        end
      end

      # @param job [Models::Job] locked by the caller
      # @param kind [Symbol] of Core::Cards::Notice
      # @param by [Models::Person, nil] nil when the day asks for it
      # @param time [Time, nil] of a job that will be later
      # @return [Models::Notice]
      def self.call(job, kind, by:, at:, time: nil)
        new(job, kind, by, at, time).call
      end

      def initialize(job, kind, by, at, time)
        @job = job
        @kind = kind
        @by = by
        @at = at
        @time = time
        @customer = job.customer
        @shop = Models::Shop.the
      end

      def call
        withdraw_earlier
        notice = Models::Notice.create(job_id: @job.id, kind: @kind.to_s, channel: channel, recipient: recipient,
          subject: said.subject, body: channel == "email" ? said.body : said.short,
          state: channel == "phone" ? "to_call" : "waiting", asked_by: @by&.id, asked_at: @at)
        Work.enqueue(notice.id) if notice.state == "waiting"
        notice
      end

      private

      # What is no longer true is not said any more.
      def withdraw_earlier
        Models::Notice.where(job_id: @job.id, state: %w[waiting to_call]).update(state: "withdrawn")
      end

      # On the phone where nothing else was agreed, or there is no address for it.
      def channel
        @channel ||= begin
          wanted = @customer.told_by
          wanted && address(wanted) ? wanted : "phone"
        end
      end

      def recipient
        address(channel)
      end

      def address(channel)
        channel == "email" ? @customer.email : @customer.phone
      end

      def said
        @said ||= Core::Cards::Notice.new(kind: @kind, words: words, values: values)
      end

      def words
        @words ||= Words.new(shop: @shop).of(@customer.language)
      end

      def values
        hours = words.hours(Policies.now.open_hours)
        { customer: @customer.name, machine: @job.machine.sheet.title, shop: @shop.name, phone: @shop.phone,
          hours: hours, link: Outbox::JobLink.of(@job), time: time }
      end

      def time
        return unless @time

        local = Config::Zone.local(@time)
        "#{words.date(local.to_date)}, #{local.strftime('%H:%M')}"
      end
    end
  end
end
