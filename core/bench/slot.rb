# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # A slot of the drying rack: how large a part it takes, and until when something lies there.
      class Slot
        include Value

        # @!attribute size [Integer] the larger the number, the larger the part
        # @!attribute busy_until [Integer] minutes since the beginning of the plan, 0 when it is free
        fields :size, busy_until: 0

        # A part goes into a slot of its size or a larger one.
        # @param slots [Array<Integer>] sizes
        # @param parts [Array<Integer>] sizes
        # @return [Boolean] whether each part has a slot of its own
        def self.enough?(slots, parts)
          parts.uniq.all? do |size|
            slots.count { |slot| slot >= size } >= parts.count { |part| part >= size }
          end
        end
      end
    end
  end
end
