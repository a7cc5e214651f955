# frozen_string_literal: true

module UprightBench
  module Services
    # Which offer goes on a card: the most minutes of those that run and whose conditions are met.
    class Bonuses
      # @param fields [Hash] columns
      # @return [Models::Bonus]
      def self.begin(fields, by:, at:)
        Permissions.check!(:card_offers, by)
        DB.transaction do
          Models::Bonus.create(**fields, created_by: by.id, created_at: at).tap do |bonus|
            History.note("offered free bench time", bonus, by: by, at: at, data: fields.transform_values(&:to_s))
          end
        end
      end

      # Cards that named it keep it.
      def self.end(bonus, by:, at:)
        Permissions.check!(:card_offers, by)
        DB.transaction do
          bonus.lock!
          next if bonus.ended_at

          bonus.update(ended_at: at)
          History.note("ended free bench time", bonus, by: by, at: at)
        end
      end

      # @param today [Date]
      def initialize(today:)
        @running = Models::Bonus.running.where { starts_on <= today }.where { ends_on >= today }.order(Sequel.desc(:minutes), :id).all
      end

      # Only with something to replace: it is given for a part that the shop fits.
      # @param customer [Models::Customer]
      # @param bundle [Core::Cards::Bundle]
      # @return [Models::Bonus, nil]
      def for(customer, bundle)
        return unless bundle.lines.any?(&:replaces?)

        @running.find do |bonus|
          [nil, bundle.channel.to_s].include?(bonus.channel) && (bonus.fleets || !customer.fleet) && (!bonus.first_only || bundle.attempt == 1)
        end
      end
    end
  end
end
