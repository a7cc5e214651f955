# frozen_string_literal: true

module UprightBench
  module Services
    # What holds for all that is done for the shop, whoever does it: its time zone, and how it writes days and figures.
    # Both are read when they are first needed.
    module WaysOfTheShop
      module_function

      # While the block runs: a job of the queue, or whatever is done beside it.
      def during(&)
        Config::Zone.held.during(-> { zone(ShopOnFile.call) }) do
          Core::Units::Writing::HELD.during(-> { Policies.now.writing }, &)
        end
      end

      # From now on, for a request.
      # @param shop [Proc] as the request has read it
      # @param policies [Proc]
      def begin_request(shop:, policies:)
        Config::Zone.held.begin_with(-> { zone(shop.call) })
        Core::Units::Writing::HELD.begin_with(-> { policies.call.writing })
      end

      def end_request
        [Config::Zone.held, Core::Units::Writing::HELD].each { |held| held.begin_with(nil) }
      end

      # @return [String] also where the shop has none of its own
      def zone(shop)
        shop&.time_zone || SETTINGS.time_zone
      end
      private_class_method :zone
    end
  end
end
