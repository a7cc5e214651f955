# frozen_string_literal: true

module UprightBench
  module Services
    # Sends a customer the link to the estimate that stands on their page, by a way on which notices go.
    module TellEstimate
      WAYS = Core::Cards::Channels::ALL.select(&:tells?).map { |channel| channel.key.to_s }.freeze

      module_function

      # @param way [String] of WAYS
      # @return [Models::Notice]
      # @raise [NotFound] for a way that there is not
      # @raise [Refused] without an address for it, or without an estimate that stands
      def call(number, way:, by:, at:)
        raise NotFound, "There is no such way." unless WAYS.include?(way)

        DB.transaction do
          job = Lookup.job(number, lock: true)
          sent = standing(job, at)
          History.note("sent out the estimate", job, by: by, at: at, job: job, data: { way: way })
          Tell.call(job, :estimate, by: by, at: at, way: way, estimate: sent)
        end
      end

      def standing(job, at)
        sent = Quotes.sent(job)
        return sent if job.changeable? && sent&.stands?(Config::Zone.date(at))

        raise Refused, "Put the estimate on the customer's page first."
      end
      private_class_method :standing
    end
  end
end
