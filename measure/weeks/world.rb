# frozen_string_literal: true

require_relative "../../launch/core_alone"

module UprightBench
  module Measure
    module Weeks
      # What happens in a simulated shop, whatever rule it promises by: machines that come in, how long each really
      # takes, parts that are late, damp nights, and people who are ill.
      class World
        # @!attribute arrives [Integer] minute
        # @!attribute work [Core::Bench::Chain] as it is planned when it comes in, counted from then
        # @!attribute takes [Array<Integer>] minutes that each operation really takes
        # @!attribute dries [Integer] minutes that what is washed really dries
        # @!attribute comes [Integer, nil] the minute at which its part really comes
        Job = Struct.new(:number, :arrives, :work, :takes, :dries, :comes, keyword_init: true)

        PEOPLE = 2
        DAY = 1440
        OPEN = [[510, 750], [780, 1050]].freeze # half past eight to half past twelve, one to half past five
        JOBS_A_DAY = 13   # of some 62 minutes each, over 17 hours of hands
        SPREAD = 0.35     # of the logarithm of minutes
        WASHED = 0.45     # shares of the jobs
        ORDERED = 0.15
        LATE_SPREAD = 0.3 # of the logarithm of a part's days
        DAMP = 0.1        # share of nights, which add
        DAMP_MINUTES = 360
        ILL = 0.02        # share of anybody's days

        attr_reader :jobs, :days, :people

        # @param seed [Integer]
        # @param weeks [Integer]
        # @param ordered [Float] share of the jobs for which a part is ordered
        def initialize(seed, weeks, people: PEOPLE, jobs_a_day: JOBS_A_DAY, ordered: ORDERED)
          @random = Random.new(seed)
          @days = weeks * 7
          @people = people
          @jobs_a_day = jobs_a_day
          @ordered = ordered
          @ill = Array.new(people) { nights(ILL) }
          @damp = nights(DAMP)
          minutes = (0...@days).select { |day| open?(day) }.flat_map { |day| arrivals(day) }.sort
          @jobs = minutes.each.with_index(1).map { |minute, number| job(number, minute) }
        end

        # @return [Boolean] Monday to Friday
        def open?(day)
          day % 7 < 5
        end

        # @return [Boolean]
        def ill?(person, day)
          @ill[person][day]
        end

        private

        # @return [Array<Boolean>] by day, also some after the last
        def nights(share)
          Array.new(@days + 60) { @random.rand < share }
        end

        def arrivals(day)
          Array.new(poisson(@jobs_a_day)) do
            from, till = OPEN[@random.rand < 0.47 ? 0 : 1]
            (day * DAY) + @random.rand(from...till)
          end
        end

        # By counting the steps of a product of throws (Knuth, TAOCP 2, 3.4.1).
        def poisson(mean)
          limit = Math.exp(-mean)
          product = @random.rand
          count = 0
          while product > limit
            product *= @random.rand
            count += 1
          end
          count
        end

        def job(number, arrives)
          dry = @random.rand < WASHED ? [720, DAY, DAY, 2160].sample(random: @random) : 0
          days = @random.rand(1..4) if @random.rand < @ordered
          work = chain(number, dry, days)
          Job.new(number: number, arrives: arrives, work: work, takes: work.operations.map { |one| real(one.minutes) },
            dries: dry + damp(arrives, dry), comes: days && comes(arrives, days))
        end

        def comes(arrives, days)
          arrives + (days * DAY * Math.exp(LATE_SPREAD * normal)).round
        end

        def chain(number, dry, days)
          work = operation(:work, Array.new(@random.rand(2..5)) { @random.rand(4..20) }).with(dry_minutes: dry)
          refit = operation(:refit, [@random.rand(10..25)])
          refit = refit.with(not_before: days * DAY, late_spread: LATE_SPREAD) if days
          Core::Bench::Chain.new(number: number, operations: [work, refit])
        end

        def operation(key, pieces)
          Core::Bench::Operation.new(key: key, pieces: [pieces.sum], spread: SPREAD)
        end

        # The planned minutes are the mean.
        def real(planned)
          [(planned * Math.exp((SPREAD * normal) - (SPREAD * SPREAD / 2))).round, 1].max
        end

        def damp(arrives, dry)
          dry.positive? && @damp[arrives / DAY] ? DAMP_MINUTES : 0
        end

        # Box and Muller 1958.
        def normal
          Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
        end
      end
    end
  end
end
