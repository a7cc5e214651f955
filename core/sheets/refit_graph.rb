# frozen_string_literal: true

require "tsort"

module UprightBench
  module Core
    module Sheets
      # What must be back in before what. What was reached last goes back first; what a place or a step says besides
      # counts, too. A part that comes off in a step goes back with it.
      #
      # A node is [:step, key] or [:place, key].
      class RefitGraph
        include TSort

        # The order contradicts itself.
        class Loop < Error
          # @return [Array<Array(Symbol, String)>] the nodes that wait for each other
          attr_reader :nodes

          def initialize(nodes)
            @nodes = nodes
            super("#{nodes.map(&:last).uniq.join(', ')} wait for each other")
          end
        end

        # @param sheet [Sheet]
        # @param steps [Array<String>] keys of those that are undone
        # @param places [Array<String>] keys of those whose part goes back
        # @param order [Array<Array(Symbol, String)>, nil] all nodes, as they come where nothing orders them; as the
        #   sheet has them when nil
        def initialize(sheet, steps:, places:, order: nil)
          @sheet = sheet
          @steps = steps.map { |key| sheet.step(key) }
          @taken = @steps.flat_map { |step| step.takes_off.map { |place| [place, step.key] } }.to_h
          @places = places.map { |key| sheet.position(key) }
          @order = (order || default_order).map { |node| merged(*node) }.uniq
        end

        # @return [Array<Array(Symbol, String)>] the first to go back first
        # @raise [Loop]
        def call
          tsort
        rescue TSort::Cyclic
          raise Loop, strongly_connected_components.find { |nodes| nodes.size > 1 }
        end

        # @return [Array(Symbol, String)] the node that a place is part of
        def merged(kind, key)
          kind == :place && @taken.key?(key) ? [:step, @taken.fetch(key)] : [kind, key]
        end

        # @param node [Array(Symbol, String)]
        # @return [Array<Array(Symbol, String)>] what must be back in before it
        def before(node)
          edges.fetch(node, [])
        end

        private

        def default_order
          @places.map { |place| [:place, place.key] } + @steps.map { |step| [:step, step.key] }
        end

        def tsort_each_node(&)
          @order.each(&)
        end

        def tsort_each_child(node, &)
          before(node).each(&)
        end

        # node => what goes back before it
        def edges
          @edges ||= known_pairs.uniq.group_by(&:last).transform_values { |found| found.map(&:first) }
        end

        def known_pairs
          pairs.map { |pair| pair.map { |node| merged(*node) } }
            .select { |pair| pair.uniq.size == 2 && (pair - @order).empty? }
        end

        # @return [Array<Array>] first, later
        def pairs
          @steps.flat_map { |step| around(step) } + @places.flat_map { |place| around_place(place) }
        end

        def around(step)
          here = [:step, step.key]
          step.after.map { |key| [here, [:step, key]] } + step.refit_before.map { |key| [here, [:step, key]] }
        end

        def around_place(place)
          here = [:place, place.key]
          ways_in(place).map { |step| [here, [:step, step.key]] } +
            place.refit_before.map { |key| [here, [:place, key]] }
        end

        # A part that comes off in a step goes back with it, whatever else opens its place. Only where another part
        # waits for it, it may not matter which steps are undone: no sheet may hold a loop for some places alone.
        def ways_in(place)
          off = @taken[place.key] or return @sheet.openers(place.key)
          return [] unless awaited.include?(place.key)

          @sheet.openers(place.key).reject { |step| @sheet.before(step.key).include?(off) }
        end

        def awaited
          @awaited ||= @sheet.positions.flat_map(&:refit_before)
        end
      end
    end
  end
end
