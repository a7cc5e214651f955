# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What another plan would mean for the promises that were given: how sure each is now, and how sure it would be.
      class Effects
        # @!attribute number [Integer] of a job with a promise
        # @!attribute before [Float] share of draws in which it is kept, as the plan stands
        # @!attribute after [Float] likewise, in the other plan
        # @!attribute by [Integer] the moment by which it would be ready as surely as a promise is to be kept
        # @!attribute later [Integer] minutes later than as the plan stands
        Effect = Struct.new(:number, :before, :after, :by, :later, keyword_init: true)

        LEAST = 0.02 # of all draws, that are worth a word
        LATER = 15 # minutes, likewise

        # @param before [Standing]
        # @param after [Standing] of the same jobs, but for those that were settled or ended meanwhile
        def initialize(before, after)
          @before = before
          @after = after
        end

        # @return [Array<Effect>] promises that would be in danger and are not, or more than they are; the worst first
        def breaks
          @breaks ||= all.select { |effect| @after.in_danger?(effect.number) && worse?(effect) }.sort_by(&:after)
        end

        # @return [Array<Effect>] promises that are in danger and would not be
        def saves
          @saves ||= all.select { |effect| @before.in_danger?(effect.number) && !@after.in_danger?(effect.number) }
        end

        # @param number [Integer]
        # @return [Effect, nil] nil for a job without a promise
        def of(number)
          all.find { |effect| effect.number == number }
        end

        private

        def worse?(effect)
          effect.before - effect.after >= LEAST || effect.later >= LATER
        end

        def all
          @all ||= (@after.shares.keys & @before.shares.keys).map do |number|
            by = @after.by(number)
            Effect.new(number: number, before: @before.shares.fetch(number), after: @after.shares.fetch(number),
              by: by, later: by - @before.by(number))
          end
        end
      end
    end
  end
end
