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
        # @param count [Integer] how many are needed, no more than there are
        # @return [Integer] the moment asked for, when so many are free for as long as they are needed; else a later
        #   one, before which they are not
        def free_from(from, till, among, count = 1)
          among.map { |index| free_at(@taken[index], from, till - from) }.min(count).last
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
