# frozen_string_literal: true

require "tsort"

module UprightBench
  module Core
    module Sheets
      # In which order do parts go back? What is reached first comes off first and goes back last; where the sheet
      # numbers the refitting, the numbers count; what nothing orders keeps the order of the air path.
      class RefitOrder
        include TSort

        # The order contradicts itself.
        class Loop < Error
          # @return [Array<String>] the keys that wait for each other
          attr_reader :keys

          def initialize(keys)
            @keys = keys
            super("#{keys.join(', ')} wait for each other")
          end
        end

        # @param sheet [Sheet]
        def initialize(sheet)
          @places = sheet.positions.to_h { |position| [position.key, position] }
          @walk = sheet.walk.map(&:key)
        end

        # @return [Array<Position>] the first to go back first
        # @raise [Loop]
        def call
          tsort.map { |key| @places.fetch(key) }
        rescue TSort::Cyclic
          raise Loop, strongly_connected_components.find { |keys| keys.size > 1 }
        end

        private

        def tsort_each_node(&)
          @walk.each(&)
        end

        def tsort_each_child(key, &)
          before(key).each(&)
        end

        # @return [Array<String>] what must be back in before this place
        def before(key)
          covered = @places.values.select { |place| place.behind.include?(key) }.map(&:key)
          order = @places.fetch(key).refit_order
          earlier = order ? numbered.select { |place| place.refit_order < order }.map(&:key) : []
          (covered + earlier).uniq
        end

        def numbered
          @numbered ||= @places.values.select(&:refit_order)
        end
      end
    end
  end
end
