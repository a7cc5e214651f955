# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # Where a search stands after some results, and what comes next.
      class Ladder
        # What comes next: `share` is how likely its sign is, `opens` what has to come off for it, `minutes` with that;
        # `to_go` the minutes to be expected from here when it comes first, and `other` the next best first step with
        # its minutes.
        Step = Struct.new(:check, :share, :opens, :minutes, :to_go, :other, :other_to_go, :how, keyword_init: true)

        # Likelier than that, a wrong setting is looked for first, and then what the lights tell.
        SETTINGS_FIRST = 0.1
        QUICK = [PlanSearch::SETTINGS, Lights::KEY].freeze # they cost a minute at most and open nothing

        # How often a place looks the worse for wear when it is not what the complaint is about (from memory).
        BESIDE = 0.3

        # How often it is something else than what a check names without proving it, as a light does (from memory).
        SUSPECTED_WRONG = 0.1

        # From belief, checks and openings to each first step and its minutes.
        ORDERS = ->(belief, checks, openings) { ExactOrder.new(belief, checks, openings).first_steps.first(2) }

        attr_reader :search, :belief, :found

        # @param search [Search]
        # @param results [Array<Array(String, Symbol)>] key of a check and its result, in their order
        # @param mended [Array<String>] causes that were mended, and the complaint is still there
        # @param looked [Array<String>] checks that the look-over did already, with nothing seen
        # @param noticed [Array<String>] causes that the look-over saw; whether it was that is still to be shown
        # @param named [Hash{String=>String}] check => which of its causes was seen
        # @param read [Hash{String,nil=>Float}] how likely the gauge's readings are with each cause
        # @param taken_back [Array<String>] checks whose answer was taken back: only their minutes count
        # @param orders [#call] as ORDERS
        def initialize(search, results = [], mended: [], looked: [], noticed: [], named: {}, read: {}, taken_back: [],
          orders: ORDERS)
          @search = search
          @mended = mended
          @results = results.to_h
          @looked = looked - @results.keys
          @named = named
          @read = read
          @taken_back = taken_back
          @orders = orders
          @belief = believed(noticed - mended)
          @found = proven
        end

        # @return [Array<Check>] those that were not done
        def left
          @left ||= @search.checks.reject { |check| @results.key?(check.key) || @looked.include?(check.key) }
        end

        # @return [Array<Cause>] the likeliest first, of which something is left
        def causes
          @search.causes.sort_by.with_index { |cause, index| [-@belief[cause.key], index] }
        end

        # @return [Float]
        def none
          @belief[Belief::NONE]
        end

        # @return [Step, nil] nil when something was found, or nothing is left to do
        def next_step
          return if @found || proving.empty?

          quick ? step_for(quick, nil) : ordered_step
        end

        # @return [Float] minutes to be expected along the air path, from the floor to the exhaust
        def along_the_path
          OrderCost.minutes(proving, @belief.to_h, openings)
        end

        # @return [Float] minutes to be expected in any order
        def in_any_order
          OrderCost.of_any_order(proving, @belief.to_h, openings)
        end

        # @return [Float] minutes that were spent, openings with them; also on what was taken back
        def spent
          done = checks_of(@results.keys + @taken_back)
          done.sum(&:minutes) + @search.opening_minutes(done.flat_map(&:needs).uniq)
        end

        # @return [Float] those of them for which nothing stands
        def spent_in_vain
          standing = checks_of(@results.keys)
          spent - standing.sum(&:minutes) - @search.opening_minutes(made)
        end

        # @return [Hash{String=>Numeric}] minutes of what is not open yet
        def openings
          @openings ||= @search.openings.reject { |opening| made.include?(opening.key) }
            .to_h { |opening| [opening.key, opening.minutes] }
        end

        private

        def believed(noticed)
          belief = after_results
          belief = belief.weighed(@read) if @read.any?
          belief = belief.weighed(evenly(noticed), otherwise: BESIDE) if noticed.any?
          belief = named(belief)
          @mended.any? ? belief.without(@mended) : belief
        end

        # A proving check leaves only the cause that it showed; a light makes the cause that it names likelier.
        def named(belief)
          shown, suspected = @named.reject { |_, cause| @mended.include?(cause) }
            .partition { |key, _| @search.check_of(key).proves? }.map { |pairs| pairs.map(&:last) }
          belief = belief.weighed(evenly(suspected), otherwise: SUSPECTED_WRONG) if suspected.any?
          return belief if shown.none? { |cause| belief[cause].positive? }

          belief.weighed(evenly(shown), otherwise: 0.0)
        end

        # Where a fault was shown that is mended since, what else the check would have shown was not there.
        def after_results
          seen = @looked.map { |key| [key, :clear] } + @results.to_a
          seen.inject(Belief.of(@search)) do |belief, (key, result)|
            belief.after(@search.check_of(key), over?(key, result) ? :clear : result)
          end
        end

        def evenly(causes)
          causes.to_h { |cause| [cause, 1.0] }
        end

        def over?(key, result)
          return false unless result == :found

          @named.key?(key) ? @mended.include?(@named[key]) : @search.check_of(key).shows.keys.intersect?(@mended)
        end

        # @return [Array<Cause>, nil] what was shown and is not mended yet, the likeliest first
        def proven
          standing = @results.select { |key, result| result == :found && !over?(key, result) }.keys
          check = standing.map { |key| @search.check_of(key) }.select(&:proves?).last or return
          causes.select { |cause| check.shows.key?(cause.key) }
        end

        def made
          @made ||= checks_of(@results.keys).flat_map(&:needs).uniq
        end

        def checks_of(keys)
          keys.map { |key| @search.check_of(key) }
        end

        # Checks that can still show or part something.
        def useful
          @useful ||= left.select do |check|
            check.splits ? parts?(check) : check.shows.any? { |cause, _| @belief[cause] > 1e-4 }
          end
        end

        def parts?(check)
          sign = @belief.sign(check)
          sign > 1e-3 && sign < 1 - 1e-3
        end

        def proving
          @proving ||= useful.select(&:proves?)
        end

        def tries
          useful.select(&:splits)
        end

        def quick
          QUICK.filter_map { |key| useful.find { |check| check.key == key } }
            .find { |check| @belief.sign(check) > SETTINGS_FIRST }
        end

        # Where there is too much to compare every order, the tries are weighed against the likeliest places.
        def ordered_step
          return exact_step(proving + tries, :exact) if ExactOrder.can?(proving + tries)
          return exact_step(likeliest + tries, :likeliest) if tries.any?

          ExactOrder.can?(proving) ? exact_step(proving, :exact) : greedy_step
        end

        def likeliest
          proving.max_by(ExactOrder::MOST_WITH_SPLITS - tries.size) { |check| @belief.sign(check) }
        end

        def exact_step(checks, how)
          first, other = @orders.call(@belief.to_h, checks, openings)
          return step_for(first[0], nil, how: how) if how == :likeliest # the minutes of the others are not in it

          step_for(first[0], first[1], other: other, how: how)
        end

        def greedy_step
          order = GreedyOrder.new(@belief.to_h, proving, openings)
          step_for(order.first, order.minutes, how: :greedy)
        end

        def step_for(check, to_go, other: nil, how: :first)
          opens = check.needs & openings.keys
          minutes = check.minutes + openings.slice(*opens).each_value.sum
          Step.new(check: check, share: @belief.sign(check), opens: opens, minutes: minutes, to_go: to_go,
            other: other&.first, other_to_go: other&.last, how: how)
        end
      end
    end
  end
end
