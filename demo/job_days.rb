# frozen_string_literal: true

module UprightBench
  module Demo
    # The days on which a machine of the demo was in the shop: a fleet's twice a year, a household's about once.
    class JobDays
      NEW_DAYS = 90 # a machine is not brought in before
      LAST_DAYS = 75 # since then it is at home

      # @param begun_on [Date] the first of them
      # @param today [Date]
      # @param random [Random]
      def initialize(begun_on, today, random)
        @begun_on = begun_on
        @today = today
        @random = random
      end

      # @param machine [Models::Machine]
      # @return [Array<Date>] days on which the shop was open
      def of(machine)
        gap = machine.customer.fleet ? 170 : 330
        dates = [first(machine, gap)]
        last = @today - gap - LAST_DAYS
        dates << (dates.last + gap + @random.rand(-30..60)) while dates.last < last
        dates.map { |date| schedule.open_day(date) }
      end

      private

      def first(machine, gap)
        [@begun_on + @random.rand(0..gap), machine.bought_on + NEW_DAYS].max
      end

      def schedule
        @schedule ||= Services::Policies.now.schedule
      end
    end
  end
end
