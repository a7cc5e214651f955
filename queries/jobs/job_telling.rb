# frozen_string_literal: true

module UprightBench
  module Queries
    # What the customer of a job was told, whether it will be later than promised, and how they would hear of what is
    # due. Whoever includes this is a JobPage.
    module JobTelling
      # @return [Models::Notice, nil] what the customer was told last
      def notice
        return @notice if defined?(@notice)

        @notice = Models::Notice.standing.where(job_id: @job.id).reverse(:id).eager(:teller).first
      end

      # @return [Boolean] it may well not be ready when it was promised, as the plan of the bench stands; also where all
      #   is done and something dries
      def late?
        !later_by.nil?
      end

      # The plan may be of a moment before the customer was told: what they were promised then is no news.
      # @return [Time, nil] by which it can be promised instead
      def later_by
        return unless step == :work && @job.promise_at

        @later_by ||= Models::BenchPlan.the.later_by(@job.number)
        @later_by if @later_by && @later_by > @job.promise_at
      end

      # @return [Array<Core::Cards::Channel>] by which they asked to hear when something is due
      def agreed_ways
        return [] if customer.stopped_on

        Core::Cards::Channels::ALL.select { |channel| customer[Models::Customer::AGREED.fetch(channel.key)] }
      end

      # Of a customer who gets no reminders and did not say that they want none.
      # @return [Array<Core::Cards::Channel>] for which there is an address
      def ways_to_hear
        return [] if step != :hand_over || customer.stopped_on || customer.forgotten_on
        return [] if Models::Customer::AGREED.values.any? { |column| customer[column] }

        Core::Cards::Channels::ALL.select { |channel| customer[channel.address_column] }
      end
    end
  end
end
