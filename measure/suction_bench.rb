# frozen_string_literal: true

module UprightBench
  module Measure
    # How often the readings of a gauge name what is wrong with simulated machines of a model, and how often wrongly:
    # after suction and flow of the whole machine, and after each reading that was asked for.
    class SuctionBench
      # `named` after each reading is :right, :wrong or :cannot_tell.
      Outcome = Struct.new(:loss, :named, keyword_init: true)
      ASKED = 3
      LARGE = 0.3 # of the flow
      SIZES = { blocked: 1e-3..1e4, leak: 1e-3..10.0, fan: 0.35..0.999 }.freeze

      # @param sheet [Core::Sheets::Sheet]
      # @param complaint [Symbol] the faults are drawn by its weights
      # @param error_percent [Numeric] of the gauge
      def initialize(sheet, complaint, error_percent:, machines:, seed: 1)
        @sheet = sheet
        @error_percent = error_percent
        @machines = machines
        @random = Random.new(seed)
        @expected = Core::Suction::Expected.new(sheet)
        @in_order = @expected.call
        @first = @in_order.stages.first.key
        search = Core::Faults::PlanSearch.new(sheet, complaint).call
        @weights = Core::Suction::AirOfFault.new(sheet).weights(search.causes, Core::Faults::Belief.of(search).to_h)
          .select { |(kind, stage), _| drawable?(kind, stage) }
      end

      # @return [Array<Outcome>]
      def call
        Array.new(@machines) { outcome }
      end

      private

      def drawable?(kind, stage)
        return @in_order.stages.any? { |one| one.key == stage } if kind == :leak

        kind != :blocked || (@in_order.stages + @in_order.behind).any? { |one| one.key == stage }
      end

      def outcome
        explanation = draw
        own = differing
        broken = with(own, explanation)
        loss = 1 - (broken.flow(@first) / own.flow(@first))
        Outcome.new(loss: loss, named: named(broken, explanation))
      end

      # Machines of a model differ.
      def differing
        spread = @expected.spread_percent / 100
        factor = -> { [1 + (spread * gauss), 0.5].max }
        stages = @in_order.stages.map { |stage| stage.dup.tap { |copy| copy.k *= factor.call }.freeze }
        @in_order.with(stages: stages, sealed_kpa: @in_order.sealed_kpa * factor.call)
      end

      def draw
        point = @random.rand * @weights.each_value.sum
        @weights.each { |key, share| (point -= share) <= 0 and return key }
        @weights.keys.last
      end

      # A fault of some size: the loss of flow is as likely one as another.
      def with(machine, explanation)
        kind, stage = explanation
        return machine if kind == :nothing

        wanted = machine.flow(@first) * (1 - (0.03 + (0.87 * @random.rand)))
        found = halved(SIZES.fetch(kind)) do |size|
          (machine.broken(kind, stage, size).flow(@first) < wanted) ^ (kind == :fan)
        end
        machine.broken(kind, stage, found)
      end

      # @yieldreturn [Boolean] whether a size is too large
      def halved(sizes)
        low, high = [sizes.begin, sizes.end].map { |size| Math.log(size) }
        40.times do
          middle = (low + high) / 2
          yield(Math.exp(middle)) ? high = middle : low = middle
        end
        Math.exp((low + high) / 2)
      end

      # @return [Array<Symbol>] after the first two readings, and after each that was asked for; named once, it stays
      def named(broken, explanation)
        taken = %i[sealed flow].map { |kind| read(broken, @first, kind, false) }
        told = []
        while told.size <= ASKED
          locate = located(taken)
          told << told(locate.named, explanation)
          asked = locate.next_reading if told.last == :cannot_tell
          break unless asked

          taken += [read(broken, asked.point, asked.kind, asked.exhaust_off)]
        end
        told.fill(told.last, told.size..ASKED)
      end

      def located(taken)
        Core::Suction::Locate.new(@in_order, taken, spread_percent: @expected.spread_percent, weights: @weights)
      end

      # Two things named where there is one is wrong, too.
      def told(named, explanation)
        return :cannot_tell unless named

        named.keys == [explanation] ? :right : :wrong
      end

      def read(machine, point, kind, exhaust_off)
        value = Core::Suction::Reading.expected(machine, point, kind, exhaust_off: exhaust_off)
        error = Core::Suction::Reading.error(kind, value, @error_percent)
        Core::Suction::Reading.new(point: point, kind: kind, value: [value + (error * gauss), 0].max,
          error_percent: @error_percent, exhaust_off: exhaust_off)
      end

      def gauss
        Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
      end
    end
  end
end
