# frozen_string_literal: true

module UprightBench
  module Services
    # Which offer goes on a card: the most minutes of those that run and whose conditions are met.
    class Bonuses
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
