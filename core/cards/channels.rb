# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # The channels, in the order in which one is taken where several are agreed to: what costs least first.
      module Channels
        ALL = [Email.new, Text.new, Post.new, Phone.new].freeze
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
