# frozen_string_literal: true

module UprightBench
  module Models
    # One outgoing thing on one channel.
    class Message < Sequel::Model(:messages)
      many_to_one :card
    end
  end
end
