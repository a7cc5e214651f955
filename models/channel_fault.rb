# frozen_string_literal: true

module UprightBench
  module Models
    # An address that turned out not to take what is sent to it.
    class ChannelFault < Sequel::Model(:channel_faults)
      unrestrict_primary_key
    end
  end
end
