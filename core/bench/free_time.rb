# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What is still free of somebody's working time while a plan is made. Ask first where a piece of work fits
      # (`fit`), then take that (`take`).
      class FreeTime
        # Of the last `fit`.
        attr_reader :starts_at, :ends_at

        # @param calendar [Calendar]
        def initialize(calendar)
          @from = calendar.from.dup
          @till = calendar.till.dup
          @stretch = calendar.indices.dup
          @opens = calendar.from # of each stretch, as it was
          @closes = calendar.till
        end

        # Where it is begun soonest. What consists of several pieces may be laid aside between two of them, at closing
        # time alone, and is gone on with when work begins again.
        # @param pieces [Array<Integer>] minutes
        # @param minutes [Integer] their sum
        # @param ready [Integer]
        # @return [Integer] when it ends
        # @raise [BeyondHorizon]
        def fit(pieces, minutes, ready)
          index = @till.bsearch_index { |till| till > ready } || raise(BeyondHorizon)
          while (from = @from[index])
            from = ready if ready > from
            return keep(index, index, from, from + minutes) if minutes <= @till[index] - from

            last = last_of_parts(index, from, pieces)
            return keep(index, last, from, @part_ends_at) if last

            index += 1
          end
          raise BeyondHorizon
        end

        # Takes what `fit` found last.
        # @return [Array<Array(Integer, Integer)>] the parts in which it is done
        def take
          return [take_one(@first, @starts_at, @ends_at)] if @first == @last

          taken = @parts
          taken.each_with_index.to_a.reverse_each { |(from, till), place| take_one(@first + place, from, till) }
          taken
        end

        private

        def keep(first, last, starts_at, ends_at)
          @first = first
          @last = last
          @starts_at = starts_at
          @ends_at = ends_at
        end

        def closes?(index)
          @till[index] == @closes[@stretch[index]]
        end

        # @return [Integer, nil] the interval in which it ends; nil where it cannot be gone on with at once
        def last_of_parts(index, from, pieces)
          return unless pieces.size > 1 && closes?(index)

          @parts = []
          done = 0
          loop do
            before = done
            from, done = part(index, from, pieces, done)
            return if done == before
            return index if done == pieces.size
            return unless closes?(index) && opens_next?(index)

            index += 1
            from = @from[index]
          end
        end

        # As many of the pieces as there is room for.
        def part(index, from, pieces, done)
          ends = from
          while (piece = pieces[done]) && ends + piece <= @till[index]
            ends += piece
            done += 1
          end
          @parts << [from, ends] if ends > from
          @part_ends_at = ends
          [from, done]
        end

        def opens_next?(index)
          stretch = @stretch[index + 1]
          stretch == @stretch[index] + 1 && @from[index + 1] == @opens[stretch]
        end

        def take_one(index, from, till)
          before = from > @from[index]
          after = till < @till[index]
          if before && after then split(index, from, till)
          elsif before then @till[index] = from
          elsif after then @from[index] = till
          else [@from, @till, @stretch].each { |list| list.delete_at(index) }
          end
          [from, till]
        end

        def split(index, from, till)
          @from.insert(index + 1, till)
          @till.insert(index, from)
          @stretch.insert(index, @stretch[index])
        end
      end
    end
  end
end
