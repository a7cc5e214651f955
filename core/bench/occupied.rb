# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What is taken of things that there are few of: slots of the rack, or a wet bench. Several may be taken at once,
      # each by one.
      class Occupied
        # @param busy_until [Array<Integer>] of each, in the order in which they are to be taken
        def initialize(busy_until)
          @taken = busy_until.map { |till| till.positive? ? [[0, till]] : [] }
        end

        # @param among [Enumerable<Integer>] which of them will do
        # @return [Integer] the moment from which one is free for as long as it is needed: the one asked for, or later
        def free_from(from, till, among)
          soonest = nil
          among.each do |index|
            free = free_at(@taken[index], from, till - from)
            return from if free == from

            soonest = free if soonest.nil? || free < soonest
          end
          soonest
        end

        # Takes the first that is free then.
        def take(from, till, among)
          index = among.find { |place| free_at(@taken[place], from, till - from) == from }
          taken = @taken[index]
          at = taken.index { |start, _| start > from } || taken.size
          taken.insert(at, [from, till])
        end

        private

        def free_at(taken, from, minutes)
          taken.each do |start, till|
            return from if start >= from + minutes

            from = till if till > from
          end
          from
        end
      end
    end
  end
end
