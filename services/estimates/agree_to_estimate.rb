# frozen_string_literal: true

module UprightBench
  module Services
    # The customer agrees on the page behind the tag's code: to the newest estimate, while it stands and says what the
    # job comes to. Agreed twice is agreed once.
    class AgreeToEstimate
      # @param estimate_sent_id [Integer] the one that was read
      # @param by [Actor] behind the slip's code
      # @param agreed [Hash] agreed_name, call_above_cents, warranty_name
      # @return [Models::Job]
      # @raise [Refused] when it lapsed, or something changed since it was made
      # @raise [Invalid] when something must be agreed to by name
      def self.call(number, estimate_sent_id, by:, at:, **agreed)
        DB.transaction { new(Lookup.job(number, lock: true), estimate_sent_id, by, at, agreed).call }
      end

      def initialize(job, estimate_sent_id, by, at, agreed)
        @job = job
        @sent = Quotes.sent(job)
        @estimate_sent_id = estimate_sent_id
        @by = by
        @at = at
        @agreed = { **agreed, agreed_how: "page", estimate_sent_id: @sent&.id }
      end

      def call
        return @job if Models::Estimate.where(job_id: @job.id, estimate_sent_id: @estimate_sent_id).any?

        refuse_another
        if @job.estimated?
          Settle.call(@job.number, **@agreed, by: @by, at: @at)
        else
          Agree.call(@job.number, **@agreed, by: @by, at: @at)
        end
        @job.refresh
      end

      private

      def refuse_another
        raise Refused, "There is no estimate to agree to now. Call us." if @sent.nil? || !@job.changeable?
        unless @sent.id == @estimate_sent_id
          raise Refused,
            "We changed the estimate since you read it: read it once more."
        end

        refuse_old(Config::Zone.date(@at))
      end

      def refuse_old(today)
        unless @sent.stands?(today)
          raise Refused, "This estimate held until #{Core::Units::Day.words(@sent.valid_until)}. Ask us for a new one."
        end

        items = @job.work_items_dataset.eager(:part).order(:sequence).all
        return if Quotes.same?(@sent, Quotes.of(@job, items, held: Quotes.held(@job, today: today)))

        raise Refused, "Something changed since this estimate was made. We will send you a new one; nothing is done " \
                       "until then."
      end
    end
  end
end
