# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What of the rack, and of the places that are short, is taken while a plan is made: a seat for as long as
      # something is done, the wet bench while it is washed.
      class Rooms
        NOTHING = [0, nil].freeze

        # @param problem [Problem]
        def initialize(problem)
          @problem = problem
          @open = problem.shop.open
          @slots = problem.shop.slots&.sort_by(&:size) # so that a small part takes a small slot
          @rack = Occupied.new(@slots.map(&:busy_until)) if @slots
          @places = problem.shop.places.transform_values { |count| Occupied.new(Array.new(count, 0)) }
          @among = {}
        end

        # @param step [Problem::Step]
        # @param free [FreeTime] that was just asked where the step fits
        # @return [Array(Integer, Symbol)] minutes by which it must begin later at least, until what it needs is free; 0
        #   for none; and what that is: :rack, :seat or :wet_bench
        # @raise [NoSlot]
        def shift(step, free)
          waits = needs(step, free).map { |place, *time| [free_from(place, *time) - time.first, place] }
          waits << [rack_from(step, free) - free.ends_at, :rack] if washed?(step)
          waits.max_by(&:first) || NOTHING
        end

        # Takes what it needs.
        def take(step, free)
          sizes(step).each { |size| @rack.take(free.ends_at, off(step, free), among(size)) } if washed?(step)
          needs(step, free).each { |place, from, till| @places.fetch(place).take(from, till, each_of(place)) }
        end

        private

        # @return [Array<Array(Symbol, Integer, Integer)>] of the places that are short: which, from when, till when
        def needs(step, free)
          return [] if @places.empty?

          operation = step.operation
          minutes = { operation.place => free.ends_at - free.starts_at, wet_bench: operation.wet_minutes }
          minutes.select { |place, needed| needed.positive? && @places.key?(place) }
            .map { |place, needed| [place, free.ends_at - needed, free.ends_at] }
        end

        def free_from(place, from, till)
          @places.fetch(place).free_from(from, till, each_of(place))
        end

        def washed?(step)
          @slots && step.operation.slots.any?
        end

        # The largest first, since a small part goes into a large slot too.
        def sizes(step)
          step.operation.slots.sort.reverse
        end

        # As many slots of each size, or larger, as it has parts that need one.
        def rack_from(step, free)
          sizes(step).each_with_index.map do |size, others|
            among = among(size)
            raise NoSlot, @problem.chains[step.job].number if among.size <= others

            @rack.free_from(free.ends_at, off(step, free), among, others + 1)
          end.max
        end

        # @return [Array<Integer>] slots that are large enough
        def among(size)
          @among[size] ||= @slots.each_index.select { |slot| @slots[slot].size >= size }
        end

        def each_of(place)
          (0...@problem.shop.places.fetch(place))
        end

        # What is dry is taken off when somebody is there.
        def off(step, free)
          @open.open_from(free.ends_at + step.operation.dry_minutes)
        end
      end
    end
  end
end
