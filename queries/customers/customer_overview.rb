# frozen_string_literal: true

module UprightBench
  module Queries
    # Everything of a customer that their page shows.
    class CustomerOverview
      MOST_CARDS = 12
      MOST_CONSENTS = 20

      # @param customer [Models::Customer]
      def initialize(customer)
        @customer = customer
      end

      # Without the reasons, which are long.
      DUE = %i[id machine_id position position_name action due_on may_card].freeze
      private_constant :DUE

      # @return [Array<Models::Machine>] with their sheets and what is due, the soonest first
      def machines
        open = ->(dues) { dues.where(state: "open").order(Sequel.asc(:due_on, nulls: :last)).select(*DUE) }
        @machines ||= @customer.machines_dataset.eager(:sheet, dues: open).order(:id).all
      end

      # @return [Array<Models::Card>] the newest first, with what was answered
      def cards
        @cards ||= @customer.cards_dataset.select(:id, :created_at, :channel, :attempt).eager(:answers)
          .limit(MOST_CARDS).all
      end

      # @return [Array<Models::Consent>] the newest first
      def consents
        @consents ||= @customer.consents_dataset.eager(:writer).limit(MOST_CONSENTS).all
      end

      # @return [Array<Models::ChannelFault>]
      def faults
        @faults ||= @customer.channel_faults
      end

      # @return [Owed]
      def owed
        @owed ||= Owed.new(customer_id: @customer.id)
      end

      # @return [Models::Booking, nil]
      def booking
        @booking ||= Bookings.of_customer(@customer.id)
      end

      # @return [Array<String>] that cards may be written in
      def languages
        @languages ||= Models::Wording.languages | [@customer.language]
      end
    end
  end
end
