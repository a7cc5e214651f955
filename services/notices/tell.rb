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
      # @param way [String, nil] email or text, where it was chosen for this once
      # @param estimate [Models::EstimateSent, nil] that it is about
      # @return [Models::Notice]
      # @raise [Refused] without an address for the way that was chosen
      def self.call(job, kind, by:, at:, time: nil, way: nil, estimate: nil)
        new(job, kind, by: by, at: at, about: { time: time, way: way, estimate: estimate }).call
      end

      def initialize(job, kind, by:, at:, about:)
        @job = job
        @kind = kind
        @by = by
        @at = at
        @about = about
        @customer = job.customer
        @shop = Models::Shop.the
      end

      def call
        withdraw_earlier
        notice = Models::Notice.create(job_id: @job.id, kind: @kind.to_s, channel: channel, recipient: recipient,
          subject: said.subject, body: way.told(said),
          state: way.tells? ? "waiting" : "to_call", asked_by: @by&.id, asked_at: @at)
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
        @channel ||= @about[:way] ? chosen(@about[:way]) : agreed
      end

      def chosen(way)
        raise Refused, "There is no address for that yet." unless address(way)

        way
      end

      def agreed
        wanted = @customer.told_by
        wanted && address(wanted) ? wanted : "phone"
      end

      def recipient
        address(channel)
      end

      # @return [Core::Cards::Channel]
      def way
        Core::Cards::Channels.of(channel)
      end

      def address(channel)
        @customer[Core::Cards::Channels.of(channel).address_column]
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
          hours: hours, link: Outbox::JobLink.of(@job), time: time, **of_estimate }
      end

      def of_estimate
        estimate = @about[:estimate] or return {}

        { total: Policies.now.currency.words(estimate.total_cents), day: words.date(estimate.valid_until) }
      end

      def time
        return unless @about[:time]

        local = Config::Zone.local(@about[:time])
        "#{words.date(local.to_date)}, #{Core::Units::Moment.clock(local)}"
      end
    end
  end
end
