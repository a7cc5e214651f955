# frozen_string_literal: true

module UprightBench
  module English
    # Several things in a row.
    module List
      module_function

      # @param items [Array<String>]
      # @return [String] as in "a", "a and b", "a, b and c"
      def of(items)
        [items[..-2].join(", "), items.last].compact.reject(&:empty?).join(" and ")
      end
    end
  end
end
