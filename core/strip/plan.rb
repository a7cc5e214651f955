# frozen_string_literal: true

module UprightBench
  module Core
    module Strip
      # How a machine is opened for the places that are worked at, and closed again.
      #
      # Opening: each step once, no more than is needed, the places in the order in which they are worked at. Refitting
      # is its reverse, but where the sheet says that something goes back before something else.
      class Plan
        MOST_NAMED = 3

        # @param sheet [Sheets::Sheet]
        # @param places [Array<String>] keys of positions, in the order of work
        # @param open [Array<String>] keys of steps that are open already: they are closed again, whatever is worked at
        def initialize(sheet, places, open: [])
          @sheet = sheet
          @places = places.uniq
          @ways = Ways.new(sheet)
          @chosen = @ways.to(@places, done: open).map(&:key)
        end

        # @return [Array<In>] the first to be opened first
        def opening
          order.map { |key| In.new(step: @sheet.step(key), reason: why_open(key)) }
        end

        # @return [Array<Back>] the first to go back first
        def refit
          graph.call.map { |node| back(node) }
        end

        # @return [Array<Sheets::Position>] what comes off though nobody works at it
        def only_off
          (order.flat_map { |key| @sheet.step(key).takes_off }.uniq - @places).map { |key| @sheet.position(key) }
        end

        # @return [Array<String>] keys of the steps by which a place is reached, the first to be done first
        def way_to(place)
          open = @sheet.openers(place).map(&:key) & reached_by(place)
          open.empty? ? [] : in_order(@ways.with_before(open.first))
        end

        private

        # What comes off in a step was reached by then.
        def reached_by(place)
          off = @chosen.find { |key| @sheet.step(key).takes_off.include?(place) }
          off ? @ways.with_before(off) : @chosen
        end

        def order
          @order ||= (@places.flat_map { |place| way_to(place) } + in_order(@chosen)).uniq
        end

        # Those before come first; else as the sheet has them.
        def in_order(keys)
          keys.sort_by { |key| [@ways.with_before(key).size, @sheet.steps.index(@sheet.step(key))] }
        end

        def why_open(key)
          reached = @places.select { |place| way_to(place).include?(key) }
          return Reason.of(:was_open) if reached.empty?

          Reason.of(:way_to, places: names(reached.first(MOST_NAMED)),
            more: (reached.size - MOST_NAMED if reached.size > MOST_NAMED))
        end

        def names(places)
          places.map { |place| @sheet.position(place).name.downcase }.join(", ")
        end

        # The last out is the first to go back, where nothing says otherwise.
        def graph
          @graph ||= begin
            out = @places.flat_map { |place| way_to(place).map { |key| [:step, key] } << [:place, place] } +
                  order.map { |key| [:step, key] }
            Sheets::RefitGraph.new(@sheet, steps: @chosen, places: @places | only_off.map(&:key),
              order: out.uniq.reverse)
          end
        end

        def back(node)
          kind, key = node
          step = @sheet.step(key) if kind == :step
          places = step ? step.takes_off : [key]
          Back.new(step: step, places: places.map { |place| @sheet.position(place) }, reason: why_back(node))
        end

        # What it closes off is in by then; what it goes back before is named where nothing else orders them.
        def why_back(node)
          first = graph.before(node)
          return Reason.of(:goes_back_first) if first.empty?

          Reason.of(:goes_back_after, what: first.first(MOST_NAMED).map { |other| words(other) }.join(", "))
        end

        def words(node)
          kind, key = node
          return @sheet.position(key).name.downcase if kind == :place

          step = @sheet.step(key)
          step.takes_off.empty? ? step.name.downcase : names(step.takes_off)
        end
      end
    end
  end
end
