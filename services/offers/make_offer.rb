# frozen_string_literal: true

module UprightBench
  module Services
    # Puts a job's estimate before the customer, with the day its prices hold until. An offer that says what the newest says
    # already is that one, unless it lapsed.
    class MakeOffer
      STAGES = %i[looked_over settled in_work waiting].freeze

      # @return [Models::Offer]
      # @raise [Refused] while a part is not chosen, or when there is nothing to agree to
      def self.call(number, by:, at:)
        DB.transaction { new(Lookup.job(number, lock: true), by, at).call }
      end

      def initialize(job, by, at)
        @job = job
        @by = by
        @at = at
        @today = Config::Zone.date(at)
        @items = job.work_items_dataset.eager(:part).order(:place).all
      end

      def call
        raise Refused, "Job #{@job.number} is #{@job.state.tr('_', ' ')}: there is nothing to agree to now." unless STAGES.include?(@job.stage)

        Agree.refuse_open_choice(@job, @items)
        policies = Policies.now
        quote = Quotes.of(@job, @items, held: Quotes.held(@job, today: @today), policies: policies)
        before = Quotes.offer(@job)
        return before if before&.stands?(@today) && Quotes.same?(before, quote)

        write(quote, before, @today + policies.number("estimate_valid_days"))
      end

      private

      def write(quote, before, valid_until)
        offer = Models::Offer.create(job_id: @job.id, version: (before&.version || 0) + 1, lines: Sequel.pg_jsonb(quote.lines.map(&:to_h)),
                                     net_cents: quote.net_cents, tax_cents: quote.tax_cents, total_cents: quote.total_cents,
                                     ends_warranty: Sequel.pg_array(Quotes.ends_warranty(@job, @items, today: @today), :text),
                                     valid_until: valid_until, offered_by: @by.id, offered_at: @at)
        History.note("offered", @job, by: @by, at: @at, job: @job, data: { total_cents: quote.total_cents, valid_until: valid_until.iso8601 })
        offer
      end
    end
  end
end
