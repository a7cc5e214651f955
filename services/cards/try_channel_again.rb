# frozen_string_literal: true

module UprightBench
  module Services
    # An address that was noted as no good is tried again.
    module TryChannelAgain
      module_function

      # @param customer [Models::Customer]
      # @param channel [String]
      def call(customer, channel, by:, at:)
        DB.transaction do
          customer.channel_faults_dataset.where(channel: channel).delete
          History.note("tries a channel again", customer, by: by, at: at, data: { channel: channel[0, 20] })
        end
      end
    end
  end
end
