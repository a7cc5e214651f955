# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # The quantities that a gauge or a scale shows, each in a file of its own in this folder.
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
