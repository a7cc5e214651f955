# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # The fewest visits, and of those the plan on which least is done early: a shortest path, layer by layer. A layer
      # holds the states that so many visits lead to; states that need more visits than a plan that is known are left
      # out (Bound).
      #
      # First a plan is found by following the most hopeful states only. Then everything is tried that might take fewer
      # visits, and then everything with less done early, unless there is too much to try: then the plan may not be the
      # best there is, and says so.
      class Search
        HOPEFUL = 24
        TRIED_FOR_FEWER = 12_000 # visits; as many as a page can wait for
        TRIED_FOR_LATER = 4_000

        # There is more to try than a page can wait for.
        class TooMuch < Error; end
        private_constant :TooMuch

        # @param rounds [Array<Rounds::Round>]
        # @param horizon [Horizon]
        def initialize(rounds, horizon)
          @horizon = horizon
          @bound = Bound.new(rounds, horizon)
          @steps = Steps.new(rounds, horizon)
        end

        # @return [Visit] the last of the plan
        def call
          known = [latest_each_time, hopeful].compact.min_by(&:cost)
          while (fewer = everything(known.number - 1, TRIED_FOR_FEWER))
            known = fewer
          end
          @fewest = @whole
          later = everything(known.number, TRIED_FOR_LATER) if @fewest
          @best = @fewest && @whole
          [later, known].compact.min_by(&:cost)
        end

        # @return [Boolean] whether it is known that no fewer visits would do
        def fewest?
          @fewest
        end

        # @return [Boolean] whether it is known, too, that with as few no less would be done early
        def best?
          @best
        end

        # @return [Integer] visits that there must be
        def least
          @bound.call(@steps.start.dues, -1)
        end

        private

        # On the latest day each time, with all that is open: a plan that is always there.
        def latest_each_time
          @latest_each_time ||= begin
            visit = @steps.start
            visit = @steps.latest(visit) until visit.last?
            visit
          end
        end

        # @return [Visit, nil]
        def hopeful
          layers(latest_each_time.number, ->(visit) { @steps.hopeful(visit) }) do |visits|
            visits.sort_by { |visit| [@bound.call(visit.dues, visit.day), visit.early, -visit.day] }.first(HOPEFUL)
          end
        end

        # Sets @whole: whether nothing was left untried.
        # @param most [Integer] visits of a plan
        # @param patience [Integer] visits that may be tried
        # @return [Visit, nil] nil when there is no such plan, or too much to try
        def everything(most, patience)
          @whole = true
          layers(most, ->(visit) { @steps.all(visit).tap { |all| raise TooMuch if (patience -= all.size).negative? } })
        rescue TooMuch
          @whole = false
          nil
        end

        # @param following [#call] a visit => those that may come after it
        # @yieldparam visits [Array<Visit>] a layer
        # @yieldreturn [Array<Visit>] those to go on from
        def layers(most, following)
          layer = [@steps.start]
          (0..most).each do |number|
            last = layer.select(&:last?)
            return last.min_by(&:early) if last.any?

            layer = layer(layer, following, most - number - 1)
            layer = yield(layer) if block_given?
          end
          nil
        end

        # Of two that stand at the same, the one with less done early goes on.
        # @param left [Integer] visits that may still come
        def layer(visits, following, left)
          best = {}
          visits.each do |visit|
            following.call(visit).each do |child|
              key = [child.day, child.dues]
              known = best[key]
              next if known ? known.early <= child.early : @bound.call(child.dues, child.day) > left

              best[key] = child
            end
          end
          best.values
        end
      end
    end
  end
end
