# frozen_string_literal: true

module UprightBench
  module Core
    module Year
      # How many visits there must be at the least: each time that something must be done lies between two days, and
      # those that have no day in common need a visit each (the most intervals of which no two overlap, by their ends; a
      # classic greedy result). Nor are there fewer than the times that any one thing comes round.
      class Bound
        # @param rounds [Array<Rounds::Round>]
        # @param horizon [Horizon]
        def initialize(rounds, horizon)
          @rounds = rounds
          @horizon = horizon
          @covered = rounds.flat_map(&:covers).uniq
        end

        # @param dues [Array<Integer, nil>] by round; nil where nothing is left to do
        # @param after [Integer] the day of the last visit
        # @return [Integer]
        def call(dues, after)
          last = after
          apart = spans(dues, after).sort!.count do |till, from|
            next false if from <= last

            last = till
          end
          [apart, most_often(dues)].max
        end

        private

        # @return [Integer] times that a round comes, however late it is done each time
        def most_often(dues)
          dues.each_with_index.map do |due, index|
            due && due <= @horizon.last ? ((@horizon.last - due) / @rounds[index].interval) + 1 : 0
          end.max || 0
        end

        # @return [Array<Array(Integer, Integer)>] till and from
        def spans(dues, after)
          dues.each_with_index.with_object([]) do |(due, index), spans|
            next unless due && due <= @horizon.last

            @covered.include?(index) ? spans << [due, after + 1] : add(spans, @rounds[index], due)
          end
        end

        # However late it was done the time before, and however early.
        def add(spans, round, due)
          from = round.opens(due) - @horizon.gap
          while due <= @horizon.last
            spans << [due, from]
            return if round.single

            due += round.interval
            from += round.interval - round.window
          end
        end
      end
    end
  end
end
