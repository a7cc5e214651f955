# frozen_string_literal: true

module UprightBench
  module Services
    # What is to be done for a job as operations of the bench: the work that can be done at once, the wait for what
    # dries and for parts, and what is left after it, with refitting and testing.
    class ChainOfJob
      REFIT_MINUTES = 15 # to refit, test and label once everything is there and dry (house rule)
      MOST_LEAD_DAYS = 150 # the plan looks no further: what is later than thought may take twice as long
      LAST = :refit # key of what is left when all is there
      LATE_SPREAD = Core::Shelf::LeadTime::STATED_SPREAD # of the days that a part takes

      # @param asks [Array<Promises::Ask>]
      # @param lasts [Hash{String=>Core::Bench::Lasts}] by action
      # @param wet_minutes [Integer] until when something of it dries already, 0 for nothing
      # @param most_slots [Integer] of the rack: what is washed beyond that goes there later, or lies elsewhere
      def initialize(asks, lasts:, wet_minutes: 0, most_slots: 0)
        @now, @later = asks.partition { |ask| ask.lead_days.zero? }
        @lasts = lasts
        @wet_minutes = wet_minutes
        @most_slots = most_slots
      end

      # @param number [Integer] the job's
      # @return [Core::Bench::Chain]
      def call(number)
        Core::Bench::Chain.new(number: number, operations: [(work if @now.any?), refit].compact)
      end

      private

      def work
        pieces, spread = together(@now)
        washes = @now.count { |ask| ask.wait_hours.positive? }
        Core::Bench::Operation.new(key: :work, pieces: pieces, spread: spread,
          dry_minutes: (@now.map(&:wait_hours).max * 60).ceil, slots: Array.new([washes, @most_slots].min, BenchAt::SLOT))
      end

      def refit
        pieces, spread = together([*@later, Promises::Ask.new(REFIT_MINUTES, 0, 0)])
        arrival = ([@later.map(&:lead_days).max || 0, MOST_LEAD_DAYS].min * 1440).ceil
        Core::Bench::Operation.new(key: LAST, pieces: pieces, spread: spread, not_before: [arrival, @wet_minutes].max,
          late_spread: arrival > @wet_minutes ? LATE_SPREAD : 0.0)
      end

      def together(asks)
        Core::Bench::Lasts.together(asks.map do |ask|
          [ask.minutes, @lasts.fetch(ask.action) { Core::Bench::Lasts.new }]
        end)
      end
    end
  end
end
