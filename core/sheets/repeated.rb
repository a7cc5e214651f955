# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What stands twice where it may stand once.
      module Repeated
        private

        # @return [Array] the second and later of those that share a key
        def repeated(things, &block)
          things.group_by(&block).values.flat_map { |same| same.drop(1) }
        end
      end
    end
  end
end
