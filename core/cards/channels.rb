# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # The channels, each in a file of its own in this folder, in the order in which one is taken where several are
      # agreed to.
      module Channels
        ALL = constants.map { |name| const_get(name).new }.sort_by(&:rank).freeze
        ORDER = ALL.map(&:key).freeze
        BY_KEY = ALL.to_h { |channel| [channel.key, channel] }.freeze

        # @param key [Symbol, String]
        # @return [Channel]
        # @raise [KeyError]
        def self.of(key)
          BY_KEY.fetch(key.to_sym)
        end
      end
    end
  end
end
