# frozen_string_literal: true

module UprightBench
  module Queries
    # Codes under which a customer registers a machine: what was sent in and waits for the counter, and what was given.
    module Registrations
      MOST = 100

      module_function

      # @return [Array<Models::Registration>] who sent in first before the others
      def sent_in
        Models::Registration.sent_in.order(:sent_in_at, :id).limit(MOST).eager(:customer).all
      end

      # @param today [Date]
      # @return [Array<Models::Registration>] that somebody may still use and nobody has, the newest first
      def given(today:)
        Models::Registration.where(state: "given").where { expires_on >= today }.reverse(:id).limit(MOST)
          .eager(:customer).all
      end

      # @return [Integer]
      def waiting
        Models::Registration.sent_in.count
      end
    end
  end
end
