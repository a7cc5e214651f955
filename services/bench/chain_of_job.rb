# frozen_string_literal: true

module UprightBench
  module Services
    # What is to be done for a job as operations of the bench: the work that can be done at once, the wait for what
    # dries and for parts, and what is left after it, with refitting and testing.
    class ChainOfJob
      REFIT_MINUTES = 15 # to refit, test and label once everything is there and dry (house rule)
      MOST_LEAD_DAYS = 150 # the plan looks no further: what is later than thought may take twice as long
      TEST_MINUTES = 5 # of these, to test it, where somebody else does (house rule)
      LAST = :refit # key of what is left when all is there
      SEAT = :seat # that everybody needs who does something at the bench
      KEYS = %i[look_over work refit test].freeze
      LATE_SPREAD = Core::Shelf::LeadTime::STATED_SPREAD # of the days that a part takes

      # @param asks [Array<Promises::Ask>]
      # @param lasts [Hash{String=>Core::Bench::Lasts}] by action
      # @param shop [Core::Bench::Shop] whose rack may have fewer slots than is washed: the rest goes there later, or
      #   lies elsewhere
      # @param tested_by_another [Boolean] whoever did the work does not test it
      # @param wet_minutes [Integer] until when something of it dries already, 0 for nothing
      # @param brought_minutes [Integer, nil] when it comes to the shop, where it has to be looked over first
      def initialize(asks, lasts:, shop:, tested_by_another: false, wet_minutes: 0, brought_minutes: nil)
        @now, @later = asks.partition { |ask| ask.lead_days.zero? }
        @lasts = lasts
        @wet_minutes = wet_minutes
        @brought_minutes = brought_minutes
        @shop = shop
        @tested_by_another = tested_by_another
      end

      # @param number [Integer] the job's
      # @return [Core::Bench::Chain]
      def call(number)
        Core::Bench::Chain.new(number: number, operations: [look_over, work, refit, test].compact)
      end

      # @return [Core::Bench::Operation] of a machine that nobody has looked over yet
      def self.look_over(not_before: 0)
        Core::Bench::Operation.new(key: :look_over, pieces: [Core::Bench::WaitsFor::LOOK_OVER_MINUTES],
          spread: Core::Bench::Lasts::SPREAD, not_before: not_before, place: SEAT)
      end

      private

      def look_over
        self.class.look_over(not_before: @brought_minutes) if @brought_minutes
      end

      def work
        return if @now.empty?

        pieces, spread = together(@now)
        Core::Bench::Operation.new(key: :work, pieces: pieces, spread: spread, skill: skill(@now), place: SEAT,
          dry_minutes: (@now.map(&:wait_hours).max * 60).ceil, slots: slots, wet_minutes: wet_minutes(pieces))
      end

      # What is washed is washed last, so that all of it begins to dry at once.
      # @param pieces [Array<Integer>] minutes, of each that is asked
      def wet_minutes(pieces)
        pieces.zip(@now).sum { |minutes, ask| ask.wait_hours.positive? ? minutes : 0 }
      end

      # What no slot is left for dries elsewhere.
      # @return [Array<Integer>] sizes
      def slots
        sizes = @now.select { |ask| ask.wait_hours.positive? }.map { |ask| ask.slot || Core::Drying::SlotSize::LARGEST }
        left = (@shop.slots || []).map(&:size).sort
        sizes.sort.reverse.select { |size| left.index { |slot| slot >= size }&.then { |at| left.delete_at(at) } }
      end

      def refit
        pieces, spread = together([*@later, Promises::Ask.new(REFIT_MINUTES - (apart? ? TEST_MINUTES : 0), 0, 0)])
        arrival = arrival_minutes
        Core::Bench::Operation.new(key: LAST, pieces: pieces, spread: spread, skill: skill(@later), place: SEAT,
          not_before: [arrival, @wet_minutes].max, late_spread: arrival > @wet_minutes ? LATE_SPREAD : 0.0)
      end

      # Ordered once the machine is there.
      # @return [Integer] 0 where nothing is to come
      def arrival_minutes
        return 0 if @later.empty?

        ([@later.map(&:lead_days).max, MOST_LEAD_DAYS].min * 1440).ceil + @brought_minutes.to_i
      end

      # By whoever may, and not by whoever did the work where the owner wants it so.
      def test
        return unless apart?

        Core::Bench::Operation.new(key: :test, pieces: [TEST_MINUTES], spread: Core::Bench::Lasts::SPREAD,
          skill: named(:final_tests), other_hands: @tested_by_another, place: SEAT)
      end

      # @return [Boolean] whether the test is a step of its own
      def apart?
        @tested_by_another || !named(:final_tests).nil?
      end

      def skill(asks)
        named(:motor_heads) if asks.any? { |ask| ask.skill == :motor_heads }
      end

      # What nobody is named for, everybody may.
      def named(skill)
        skill if @shop.technicians.any? { |technician| technician.skills.include?(skill) }
      end

      def together(asks)
        Core::Bench::Lasts.together(asks.map do |ask|
          [ask.minutes, @lasts.fetch(ask.action) { Core::Bench::Lasts.new }]
        end)
      end
    end
  end
end
