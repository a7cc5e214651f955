# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # What will be asked of a part, and how many must be there for it.
      #
      # Demand in a stretch of days is the sum over due tasks of (chance of coming back x chance of being due in it),
      # and what walks in besides; it is taken as Poisson. What is ordered today comes after the lead time, and the
      # next order a review later: until then the shelf must last. The order-up-to level is the smallest that does so
      # with the service level (a standard result of inventory control: periodic review, base stock).
      class Forecast
        # So many dues of one part that fall alike. `chance` is that of coming back.
        Dues = Struct.new(:falls, :chance, :tasks)

        DAYS_A_WEEK = 7

        # @param dues [Array<Dues>]
        # @param walk_ins_a_week [Numeric]
        # @param lead_days [Integer]
        # @param review_days [Integer]
        # @param service_level [Float] a probability below 1
        def initialize(dues:, walk_ins_a_week:, lead_days:, review_days:, service_level:)
          @dues = dues
          @walk_ins_a_week = walk_ins_a_week
          @lead_days = lead_days
          @review_days = review_days
          @service_level = service_level
        end

        # @return [Integer] days the shelf must last
        def days
          @lead_days + @review_days
        end

        # @return [Float] pieces asked for by what falls due within so many days
        def from_dues(days = self.days)
          @dues.sum(0.0) { |due| due.falls.within(days) * due.chance * due.tasks }
        end

        # @return [Float] pieces asked for by those who were not written to
        def from_walk_ins(days = self.days)
          @walk_ins_a_week * days / DAYS_A_WEEK.to_f
        end

        # @return [Float]
        def mean(days = self.days)
          from_dues(days) + from_walk_ins(days)
        end

        # @return [Integer] pieces
        def level
          @level ||= Stats::Poisson.new(mean: mean).quantile(@service_level)
        end

        # @param weeks [Integer]
        # @return [Array<Array(Float, Float)>] for each week from today (the first with what may be due already) what
        #   the dues and what the walk-ins ask for
        def weeks(weeks)
          asked = Array.new(weeks) { |week| from_dues((week + 1) * DAYS_A_WEEK) }
          asked.zip([0.0, *asked]).map { |until_then, before| [until_then - before, @walk_ins_a_week.to_f] }
        end
      end
    end
  end
end
