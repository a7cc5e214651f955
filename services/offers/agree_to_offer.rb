# frozen_string_literal: true

module UprightBench
  module Services
    # The customer agrees on the page behind the tag's code: to the newest offer, while it stands and says what the job comes
    # to. Agreed twice is agreed once.
    class AgreeToOffer
      # @param offer_id [Integer] the one that was read
      # @param by [Actor] behind the slip's code
      # @param agreed [Hash] agreed_name, call_above_cents, warranty_name
      # @return [Models::Job]
      # @raise [Refused] when it lapsed, or something changed since it was made
      # @raise [Invalid] when something must be agreed to by name
      def self.call(number, offer_id, by:, at:, **agreed)
        DB.transaction { new(Lookup.job(number, lock: true), offer_id, by, at, agreed).call }
      end

      def initialize(job, offer_id, by, at, agreed)
        @job = job
        @offer = Quotes.offer(job)
        @offer_id = offer_id
        @by = by
        @at = at
        @agreed = { **agreed, agreed_how: "page", offer_id: @offer&.id }
      end

      def call
        return @job if Models::Estimate.where(job_id: @job.id, offer_id: @offer_id).any?

        refuse_another
        @job.stage == :looked_over ? Settle.call(@job.number, **@agreed, by: @by, at: @at) : Agree.call(@job.number, **@agreed, by: @by, at: @at)
        @job.refresh
      end

      private

      def refuse_another
        raise Refused, "There is no offer to agree to now. Call us." if @offer.nil? || !MakeOffer::STAGES.include?(@job.stage)
        raise Refused, "We changed the offer since you read it: read it once more." unless @offer.id == @offer_id

        today = Config::Zone.date(@at)
        raise Refused, "This offer held until #{Core::Units::Day.words(@offer.valid_until)}. Ask us for a new one." unless @offer.stands?(today)

        quote = Quotes.of(@job, @job.work_items_dataset.eager(:part).order(:place).all, held: Quotes.held(@job, today: today))
        raise Refused, "Something changed since this offer was made. We will send you a new one; nothing is done until then." unless Quotes.same?(@offer, quote)
      end
    end
  end
end
