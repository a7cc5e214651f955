# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # What will be asked of a part, and how many must be there for it.
      #
      # Demand in a stretch of days is the sum over due tasks of the chance that the customer comes in it (ComesBack),
      # and what walks in besides; it is taken as Poisson. What is ordered today comes after the lead time, and the next
      # order a review later: until then the shelf must last. The order-up-to level is the smallest that does so with
      # the service level, over lead times that scatter (LeadDemand; a standard result of inventory control: periodic
      # review, base stock).
      class Forecast
        # So many dues of one part whose customers are as likely to come.
        Dues = Struct.new(:comes, :tasks)

        DAYS_A_WEEK = 7

        # @param dues [Array<Dues>]
        # @param walk_ins_a_week [Numeric]
        # @param lead_days [Integer]
        # @param lead_spread_days [Numeric] standard deviation
        # @param review_days [Integer]
        # @param service_level [Float] a probability below 1
        def initialize(dues:, walk_ins_a_week:, lead_days:, review_days:, service_level:, lead_spread_days: 0)
          @dues = dues
          @walk_ins_a_week = walk_ins_a_week
          @lead_days = lead_days
          @lead_spread_days = lead_spread_days
          @review_days = review_days
          @service_level = service_level
        end

        # @return [Integer] days the shelf must last
        def days
          @lead_days + @review_days
        end

        # @return [Float] pieces asked for by what falls due within so many days
        def from_dues(days = self.days)
          @dues.sum(0.0) { |due| due.comes.within(days) * due.tasks }
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
          @level ||= demand.quantile(@service_level)
        end

        # @return [LeadDemand] until the next order has come
        def demand
          in_lead = mean(@lead_days)
          LeadDemand.new(in_lead: in_lead, in_review: [mean - in_lead, 0].max, lead_days: @lead_days,
            lead_spread_days: @lead_spread_days)
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
