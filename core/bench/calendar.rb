# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # When somebody works: stretches of whole minutes since the beginning of the plan, each without its end. They are
      # asked for some hundred thousand times while a promise is worked out, so a table says for each half hour which
      # stretch is the first that is not over.
      class Calendar
        BREAK = 180 # minutes: what is longer is a night
        STEP = 5 # bits: the table has a row for every 32 minutes

        # @!attribute longest [Integer] minutes of the longest stretch
        # @!attribute indices [Array<Integer>] of the stretches
        attr_reader :from, :till, :longest, :indices

        # @param stretches [Array<Array(Integer, Integer)>] in order, none touching the next
        # @raise [ArgumentError] when there is none, or they are out of order
        def initialize(stretches)
          check(stretches)
          @from, @till = stretches.transpose
          @before = stretches.each_with_object([0]) { |(from, till), sums| sums << (sums.last + till - from) }
          @indices = (0...stretches.size).to_a.freeze
          @longest = stretches.map { |from, till| till - from }.max
          @rows = rows
          freeze
        end

        # @return [Integer] number of stretches
        def size
          @from.size
        end

        # @param time [Integer]
        # @return [Integer] index of the first stretch that ends after it
        # @raise [BeyondHorizon]
        def index(time)
          index = time.negative? ? 0 : @rows[time >> STEP] || raise(BeyondHorizon)
          index += 1 while (till = @till[index]) && till <= time
          till ? index : raise(BeyondHorizon)
        end

        # @return [Integer] the first moment at or after, in which somebody works
        def open_from(time)
          from = @from[index(time)]
          [from, time].max
        end

        # @return [Array(Integer, Integer)] the same moment, and when that stretch ends
        def stretch_from(time)
          index = index(time)
          [[@from[index], time].max, @till[index]]
        end

        # @return [Integer] minutes worked from the beginning of the plan till then
        def worked(time)
          return @before.last if time >= @till.last

          index = index(time)
          from = @from[index]
          @before[index] + (time > from ? time - from : 0)
        end

        # Somebody stays on: the stretches at the end of which the shop closes for the day are longer.
        # @param open [Calendar] of the shop
        # @param minutes [Integer]
        # @param before [Integer, nil] a moment: only the last one that begins before it
        # @return [Calendar]
        def longer(open, minutes, before = nil)
          ends = size.times.select { |index| evening?(open, @till[index]) }
          ends = ends.select { |index| @from[index] < before }.last(1) if before
          Calendar.new(@from.zip(@till).each_with_index.map do |(from, till), index|
            [from, ends.include?(index) ? [till + minutes, *room(index)].min : till]
          end)
        end

        # @param fluid [Boolean] whether it may be laid aside at closing; what may not waits for a stretch in which it
        #   was thought to fit, if there is any, and is finished once it is begun, also after closing
        # @param planned [Integer] minutes that it was thought to take
        # @return [Integer] the moment at which so many minutes are done, when they are begun at a moment or as soon
        #   after it as can be
        def done(time, minutes, fluid, planned = minutes)
          index = index(time)
          from = @from[index]
          from = time if time > from
          room = @till[index] - from
          apart = fluid || planned > @longest
          return from + minutes if (apart ? minutes : planned) <= room

          apart ? in_parts(index, minutes - room) : in_one(index + 1, minutes, planned)
        end

        private

        # @return [Array<Integer>] until when it may last at most; none for the last one
        def room(index)
          [@from[index + 1]].compact.map { |following| following - 1 }
        end

        # What is left of the day is no break at noon.
        def evening?(open, till)
          following = open.from.bsearch { |from| from >= till }
          following.nil? || following - till > BREAK
        end

        def check(stretches)
          raise ArgumentError, "nobody ever works" if stretches.empty?
          raise ArgumentError, "stretches out of order" unless stretches.flatten.each_cons(2).all? { |a, b| a < b }
        end

        def in_parts(index, left)
          loop do
            index += 1
            from = @from[index] || raise(BeyondHorizon)
            room = @till[index] - from
            return from + left if left <= room

            left -= room
          end
        end

        def in_one(index, minutes, planned)
          index += 1 while (from = @from[index]) && @till[index] - from < planned
          raise BeyondHorizon unless from

          from + minutes
        end

        def rows
          index = 0
          (0..((@till.last - 1) >> STEP)).map do |row|
            index += 1 while @till[index] <= row << STEP
            index
          end
        end
      end
    end
  end
end
