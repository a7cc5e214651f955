# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # What can be read off a gauge or a scale, each in a file of its own in this folder.
      module Quantities
        ALL = constants.map { |name| const_get(name) }.sort_by(&:key).to_h { |one| [one.key, one] }.freeze

        # @param key [Symbol]
        # @return [Quantity]
        # @raise [KeyError]
        def self.fetch(key)
          ALL.fetch(key)
        end
      end
    end
  end
end
