# frozen_string_literal: true

module UprightBench
  module Services
    # Which offer goes on a card: the most minutes of those that run and whose conditions are met.
    class Offers
      # @param fields [Hash] columns
      # @return [Models::Offer]
      def self.begin(fields, by:, at:)
        Permissions.check!(:card_offers, by)
        DB.transaction do
          Models::Offer.create(**fields, created_by: by.id, created_at: at).tap do |offer|
            History.note("offered free bench time", offer, by: by, at: at, data: fields.transform_values(&:to_s))
          end
        end
      end

      # Cards that named it keep it.
      def self.end(offer, by:, at:)
        Permissions.check!(:card_offers, by)
        DB.transaction do
          offer.lock!
          next if offer.ended_at

          offer.update(ended_at: at)
          History.note("ended free bench time", offer, by: by, at: at)
        end
      end

      # @param today [Date]
      def initialize(today:)
        @running = Models::Offer.running.where { starts_on <= today }.where { ends_on >= today }
          .order(Sequel.desc(:minutes), :id).all
      end

      # Only with something to replace: it is given for a part that the shop fits.
      # @param customer [Models::Customer]
      # @param bundle [Core::Cards::Bundle]
      # @return [Models::Offer, nil]
      def for(customer, bundle)
        return unless bundle.lines.any?(&:replaces?)

        @running.find do |offer|
          [nil, bundle.channel.to_s].include?(offer.channel) && (offer.fleets || !customer.fleet) &&
            (!offer.first_only || bundle.attempt == 1)
        end
      end
    end
  end
end
