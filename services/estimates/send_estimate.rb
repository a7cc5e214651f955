# frozen_string_literal: true

module UprightBench
  module Services
    # Puts a job's estimate before the customer, with the day its prices hold until. One that says what the newest says
    # already is that one, unless it lapsed.
    class SendEstimate
      # @return [Models::EstimateSent]
      # @raise [Refused] while a part is not chosen, or when there is nothing to agree to
      def self.call(number, by:, at:)
        DB.transaction { new(Lookup.job(number, lock: true), by, at).call }
      end

      def initialize(job, by, at)
        @job = job
        @by = by
        @at = at
        @today = Config::Zone.date(at)
        @items = job.work_items_dataset.eager(:part).order(:sequence).all
      end

      def call
        unless @job.changeable?
          raise Refused, "Job #{@job.number} is #{@job.state_words}: there is nothing to agree to now."
        end

        Agree.refuse_open_choice(@job, @items)
        policies = Policies.now
        quote = Quotes.of(@job, @items, held: Quotes.held(@job, today: @today), policies: policies)
        before = Quotes.sent(@job)
        return before if before&.stands?(@today) && Quotes.same?(before, quote)

        write(quote, before, @today + policies["estimate_valid_days"])
      end

      private

      def write(quote, before, valid_until)
        sent = Models::EstimateSent.create(job_id: @job.id, version: (before&.version || 0) + 1,
          lines: Sequel.pg_jsonb(quote.lines.map(&:to_h)),
          net_cents: quote.net_cents, tax_cents: quote.tax_cents,
          total_cents: quote.total_cents,
          ends_warranty: Sequel.pg_array(Quotes.ends_warranty(@job, @items, today: @today), :text),
          valid_until: valid_until, sent_by: @by.id, sent_at: @at)
        History.note("sent estimate", @job, by: @by, at: @at, job: @job,
          data: { total_cents: quote.total_cents, valid_until: valid_until.iso8601 })
        sent
      end
    end
  end
end
