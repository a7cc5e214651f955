# frozen_string_literal: true

module UprightBench
  module Services
    # Says, in one go, how a customer without reminders wants to hear; or that they want none.
    module HearBy
      NONE = "none"

      module_function

      # @param channel [String] key of a channel, or NONE
      # @raise [NotFound] for a channel that there is not
      # @raise [Refused] without an address for it
      def call(customer, channel, by:, at:)
        DB.transaction do
          customer.lock!
          next KeepConsent.stop(customer, how: "counter", by: by, at: at) if channel == NONE

          wanted = Core::Cards::Channels::ALL.find { |known| known.key.to_s == channel }
          raise NotFound, "There is no such way." unless wanted
          raise Refused, "There is no address for that yet." unless customer[wanted.address_column]

          KeepConsent.call(customer, { wanted.key => true }, how: "counter", by: by, at: at)
        end
      end
    end
  end
end
