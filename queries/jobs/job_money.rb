# frozen_string_literal: true

module UprightBench
  module Queries
    # What a job costs, what was agreed, billed and paid. Whoever includes this is a JobPage.
    module JobMoney
      # @return [Models::Estimate, nil] the newest that was agreed
      def agreed
        return @agreed if defined?(@agreed)

        @agreed = has?(:agreed) ? Services::Quotes.agreed(@job) : nil
      end

      # @return [Models::EstimateSent, nil] the newest
      def sent_estimate
        return @sent_estimate if defined?(@sent_estimate)

        @sent_estimate = has?(:sent) ? Services::Quotes.sent(@job) : nil
      end

      # @return [Boolean] its day has not passed
      def sent_estimate_stands?
        !sent_estimate.nil? && sent_estimate.stands?(Config::Zone.date(@now))
      end

      # @return [Boolean] the customer can agree to it as the job stands
      def sent_estimate_current?
        sent_estimate_stands? && Services::Quotes.same?(sent_estimate, quote)
      end

      # @return [Core::Money::Estimate] as it stands now, at the prices agreed
      def standing_estimate
        sent_estimate if sent_estimate_stands?
      end

      def quote
        @quote ||= Services::Quotes.of(@job, items, held: agreed || standing_estimate, earned: earned,
          policies: @policies)
      end

      def earned
        return @earned if defined?(@earned)

        @earned = Services::Earned.of(@job, items)
      end
      private :earned

      # @return [Array<String>] places whose part is not in the price yet, since none is chosen
      def to_choose
        @to_choose ||= Services::Agree.to_choose(sheet, items)
      end

      # @return [Core::Money::Estimate] of what is done, as its bill will say it
      def to_bill
        @to_bill ||= Services::Quotes.of(@job, items.select { |item| item.state == "done" }, held: agreed,
          earned: earned, policies: @policies)
      end

      # @return [Models::Bill, nil] the one that stands
      def bill
        return @bill if defined?(@bill)

        @bill = Models::Bill.standing.where(job_id: @job.id).first
      end

      # @return [Integer] cents of what is billed; negative where more was paid
      def owed_cents
        @owed_cents ||= Services::Balance.of_job(@job)
      end

      # @return [Integer] cents to pay at hand-over; negative where something goes back
      def due_cents
        owed_cents + (bill ? 0 : to_bill.total_cents)
      end
    end
  end
end
