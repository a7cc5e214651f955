# frozen_string_literal: true

module UprightBench
  module Core
    # The kinds of part, each in a file of its own in this folder: what stands there is a kind, and nothing else does.
    module Kinds
      ALL = constants.map { |name| const_get(name) }.sort_by(&:key).to_h { |kind| [kind.key, kind] }.freeze

      module_function

      # @param key [Symbol]
      # @return [Kind]
      # @raise [KeyError]
      def fetch(key)
        ALL.fetch(key)
      end

      # @return [Array<Kind>]
      def all
        ALL.values
      end
    end
  end
end
