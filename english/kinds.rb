# frozen_string_literal: true

module UprightBench
  module English
    # The words for each kind of part, a file each in this folder.
    module Kinds
      ALL = Core::Kinds::ALL.keys.to_h { |key| [key, const_get(key.to_s.split("_").map(&:capitalize).join)] }.freeze

      module_function

      # @param key [Symbol] of Core::Kinds
      # @return [KindWords]
      # @raise [KeyError]
      def fetch(key)
        ALL.fetch(key)
      end

      # @param key [Symbol]
      # @param given [Hash{String=>Numeric}] what a sheet gives already; it may carry others than are asked for
      # @return [Hash{String=>String}] measure => words
      def measures(key, given = {})
        known = ALL[key]&.measures || {} # a draft's kind may be wrong yet
        known.merge((given.keys - known.keys).to_h { |measure| [measure, measure.tr("_", " ")] })
      end

      # @param side [Symbol] :to_staff or :to_customers
      # @return [Hash{Symbol=>String, Array<String>}] of all kinds
      def texts(side)
        ALL.values.map(&side).reduce({}, :merge)
      end
    end
  end
end
