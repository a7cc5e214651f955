# frozen_string_literal: true

require_relative "world"

module UprightBench
  module Measure
    module Weeks
      # Lives through a world by one rule: whoever is free takes up what the rule says, each machine that comes in is
      # promised, and it is written down whether that was kept.
      class Shop
        # @!attribute asked [Integer] minute
        # @!attribute promised [Integer]
        # @!attribute ready [Integer, nil]
        Given = Struct.new(:asked, :promised, :ready, keyword_init: true)
        # Something under way: whose operation it is, when it is expected to end, and when it will.
        Running = Struct.new(:job, :began, :expected, :ends, keyword_init: true)
        # A job in the shop: what is done of it, and when the next may begin, as is thought and as it will be.
        InHand = Struct.new(:job, :place, :thought, :ready, keyword_init: true)

        HORIZON_DAYS = 30

        attr_reader :now, :given, :in_hand, :worked

        # @param world [World]
        # @param rule [#promise, #next_for]
        def initialize(world, rule)
          @world = world
          @rule = rule
          @now = 0
          @given = {}
          @in_hand = {}
          @running = Array.new(world.people)
          @worked = 0
        end

        # @return [self]
        def live
          arrivals = @world.jobs.dup
          until arrivals.empty? && @in_hand.empty?
            @now = [arrivals.first&.arrives, *coming].compact.min
            finish
            take_in(arrivals.shift) while arrivals.any? && arrivals.first.arrives <= @now
            begin_work
          end
          self
        end

        # @return [Core::Bench::Shop] from now on
        def bench
          technicians = (0...@world.people).map do |person|
            Core::Bench::Technician.new(id: person, calendar: calendar(person))
          end
          Core::Bench::Shop.new(technicians: technicians, open: calendar(nil))
        end

        # @return [Array<Core::Bench::Chain>] what is left to do, counted from now, what is under way pinned to whoever
        #   is at it
        def chains
          @in_hand.values.map { |held| left_of(held) }
        end

        # @param person [Integer, nil] nil for the shop
        # @return [Core::Bench::Calendar] from now on; whoever is ill today is known to be, and is not tomorrow
        def calendar(person)
          parts = days(person).flat_map { |day| World::OPEN.map { |part| part.map { |at| day + at - @now } } }
          ahead = parts.select { |_, till| till.positive? }
          Core::Bench::Calendar.new(ahead.map { |from, till| [[from, 0].max, till] })
        end

        private

        # @return [Array<Integer>] minutes at which they begin
        def days(person)
          today = @now / World::DAY
          days = (today..(today + HORIZON_DAYS)).select { |day| @world.open?(day) }
          days -= [today] if person && @world.ill?(person, today)
          days.map { |day| day * World::DAY }
        end

        def left_of(held)
          number = held.job.number
          first, *others = held.job.work.operations.drop(held.place)
          Core::Bench::Chain.new(number: number, operations: [next_of(held, first), *later(held, others)],
            promise: @given.fetch(number).promised - @now)
        end

        def next_of(held, operation)
          person = at_it(held)
          person ? under_way(operation, person) : operation.with(not_before: [held.thought - @now, 0].max)
        end

        # @return [Integer, nil] whoever is at it
        def at_it(held)
          @running.index { |one| one && one.job == held.job }
        end

        # A part that should have come by now comes tomorrow.
        def later(held, operations)
          operations.map do |operation|
            next operation if operation.not_before.zero?

            due = held.job.arrives + operation.not_before - @now
            operation.with(not_before: due.positive? ? due : World::DAY)
          end
        end

        # @param held [InHand]
        # @return [Boolean] nobody is at it, and it can be begun
        def free?(held)
          held.ready <= @now && at_it(held).nil?
        end
        public :free?

        def under_way(operation, person)
          left = [@running[person].expected - @now, 5].max
          operation.with(pieces: [left], technician: person, pinned: true, not_before: 0)
        end

        def coming
          ends = @running.compact.map(&:ends)
          readies = @in_hand.values.reject { |held| at_it(held) }.map(&:ready)
          [*ends, *readies, opening].select { |time| time > @now }
        end

        # The next time at which somebody comes to work.
        def opening
          today = @now / World::DAY
          (today..(today + 7)).each do |day|
            next unless @world.open?(day)

            from = World::OPEN.map { |opens, _| (day * World::DAY) + opens }.find { |time| time > @now }
            return from if from
          end
        end

        def finish
          @running.each_with_index do |one, person|
            next if one.nil? || one.ends > @now

            @running[person] = nil
            @worked += one.ends - one.began
            go_on(@in_hand.fetch(one.job.number))
          end
        end

        def go_on(held)
          job = held.job
          held.place += 1
          if held.place == job.work.operations.size
            @given.fetch(job.number).ready = @now
            @in_hand.delete(job.number)
          else
            wait(held)
          end
        end

        # What dries, and whether a part is there, is seen.
        def wait(held)
          job = held.job
          dry = job.work.operations[held.place - 1].dry_minutes
          comes = job.comes.to_i
          held.ready = [@now + (dry.positive? ? job.dries : 0), comes].max
          held.thought = comes > @now ? [@now + dry, expected(held)].max : held.ready
        end

        # When a part is thought to come; tomorrow, where it should have come by now.
        def expected(held)
          due = held.job.arrives + held.job.work.operations[held.place].not_before
          [due, @now + World::DAY].max
        end

        def take_in(job)
          @in_hand[job.number] = InHand.new(job: job, place: 0, thought: @now, ready: @now)
          @given[job.number] = Given.new(asked: @now, promised: @now)
          @given[job.number].promised = @rule.promise(self, job)
        end

        def begin_work
          @running.each_index.select { |person| @running[person].nil? && here?(person) }.each do |person|
            held = @rule.next_for(self, person)
            @running[person] = begun(held) if held
          end
        end

        def begun(held)
          planned = held.job.work.operations[held.place].minutes
          Running.new(job: held.job, began: @now, expected: @now + planned, ends: @now + held.job.takes[held.place])
        end

        def here?(person)
          calendar(person).open_from(0).zero?
        end
      end
    end
  end
end
