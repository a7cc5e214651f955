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
          later = washed?(step) ? @rack.free_from(free.ends_at, off(step, free), slots(step)) - free.ends_at : 0
          place = @places[step.operation.place]
          return later unless place

          [later, place.free_from(free.starts_at, free.ends_at, each_of(step)) - free.starts_at].max
        end

        # Takes what it needs.
        def take(step, free)
          @rack.take(free.ends_at, off(step, free), slots(step)) if washed?(step)
          @places[step.operation.place]&.take(free.starts_at, free.ends_at, each_of(step))
        end

        private

        def washed?(step)
          @slots && step.operation.slot
        end

        # @return [Array<Integer>] those that are large enough
        def slots(step)
          size = step.operation.slot
          among = @among[size] ||= @slots.each_index.select { |slot| @slots[slot].size >= size }
          among.any? ? among : raise(NoSlot, @problem.chains[step.job].number)
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
