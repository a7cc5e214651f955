# frozen_string_literal: true

module UprightBench
  module Models
    # One outgoing thing on one channel.
    class Message < Sequel::Model(:messages)
      many_to_one :card
      many_to_one :batch

      WAITING = %w[queued failed].freeze
      ON_ITS_WAY = [*WAITING, "handing_over"].freeze

      dataset_module do
        where :for_a_person, Sequel[:messages][:state] => %w[unsure given_up]
      end
    end
  end
end
