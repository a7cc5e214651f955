# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What of the rack, and of the places that are short, is taken while a plan is made.
      class Rooms
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
        # @return [Integer] minutes by which it must begin later at least, until what it needs is free; 0 for none
        # @raise [NoSlot]
        def shift(step, free)
          later = washed?(step) ? rack_from(step, free) - free.ends_at : 0
          place = @places[step.operation.place]
          return later unless place

          [later, place.free_from(free.starts_at, free.ends_at, each_of(step)) - free.starts_at].max
        end

        # Takes what it needs.
        def take(step, free)
          sizes(step).each { |size| @rack.take(free.ends_at, off(step, free), among(size)) } if washed?(step)
          @places[step.operation.place]&.take(free.starts_at, free.ends_at, each_of(step))
        end

        private

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

        def each_of(step)
          (0...@problem.shop.places.fetch(step.operation.place))
        end

        # What is dry is taken off when somebody is there.
        def off(step, free)
          @open.open_from(free.ends_at + step.operation.dry_minutes)
        end
      end
    end
  end
end
