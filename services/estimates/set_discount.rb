# frozen_string_literal: true

module UprightBench
  module Services
    # Takes so many percent off everything that a job charges, for a reason that stands on the estimate.
    class SetDiscount
      # @param percent [Numeric] 0 takes nothing off any more
      # @raise [Refused] once it is agreed; what is taken off then is not what was agreed
      # @raise [Invalid] without a reason; and for more than the limit, by somebody who may not take off more
      def self.call(number, percent:, reason:, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          refuse(job, percent, reason)
          refuse_big(percent, by)
          taken = { discount_percent: percent, discount_reason: reason.strip } if percent.positive?
          job.update(taken || { discount_percent: nil, discount_reason: nil })
          History.note(percent.positive? ? "took off" : "took nothing off", job, by: by, at: at, job: job,
            data: { percent: percent.to_s, note: reason })
          job
        end
      end

      def self.refuse(job, percent, reason)
        unless job.estimated?
          raise Refused, "Job #{job.number} is #{job.state_words}: what is taken off is settled before it is agreed."
        end
        return unless percent.positive? && reason.to_s.strip.empty?

        raise Invalid, { discount_reason: ["is needed: it stands on the estimate"] }
      end

      def self.refuse_big(percent, by)
        most = Policies.now["discount_limit_percent"]
        return if percent <= most || Permissions.allow?(:big_discounts, by)

        raise Invalid, { discount_percent: ["is more than #{most} %, which you may take off: ask the owner"] }
      end
      private_class_method :refuse, :refuse_big
    end
  end
end
