# frozen_string_literal: true

module UprightBench
  module Measure
    # How many minutes a search for a fault takes, on simulated machines: by the ladder and by other orders, in the
    # world that the table describes, and in worlds that are not quite as it says.
    class FaultBench
      # What a machine is searched by: the next check, given the search and what came out so far.
      ORDERS = { "ladder" => :by_ladder, "along the path" => :along_the_path, "as the trade lists it" => :as_listed,
                 "by p/c, openings left out" => :by_ratio, "at random" => :at_random }.freeze
      Row = Struct.new(:complaint, :minutes, :right, keyword_init: true)

      # @!attribute answers [Hash{String=>Symbol}] by check
      Hidden = Struct.new(:faults, :answers)
      private_constant :Hidden

      # @param sheet [Core::Sheets::Sheet]
      # @param machines [Integer] simulated for each complaint
      # @param seed [Integer]
      # @param off [Boolean] the machines come from another world than the ladder believes in
      def initialize(sheet, machines:, seed: 1, off: false)
        @sheet = sheet
        @machines = machines
        @seed = seed
        @off = off
      end

      # @return [Array<Row>] minutes: mean by order; right: of [believed, were right] by tenths of belief
      def call
        Core::Faults::Complaints::ALL.map { |complaint| row(complaint) }
      end

      private

      def row(complaint)
        search = Core::Faults::PlanSearch.new(@sheet, complaint.key).call
        random = Random.new(@seed)
        world = @off ? other_world(search, random) : search
        hidden = Array.new(@machines) { answered(world, random) }
        @steps = {}
        @likeliest = {}
        minutes = ORDERS.to_h { |name, order| [name, mean(search, hidden, order, random)] }
        Row.new(complaint: complaint, minutes: minutes, right: @believed || [])
      end

      # Each machine answers a check the same, whichever order asks.
      def answered(world, random)
        machine = Core::Faults::Simulated.draw(world, -> { random.rand })
        Hidden.new(machine.faults, world.checks.to_h { |check| [check.key, machine.answer(check)] })
      end

      # Weights × exp(0.5 z), sensitivities lower by 0.1.
      def other_world(search, random)
        weights = search.causes.map { |cause| cause.weight * Math.exp(0.5 * gauss(random)) }
        search.with(causes: weighed(search, weights), checks: search.checks.map { |check| blunter(check) })
      end

      def weighed(search, weights)
        whole = weights.sum + search.none
        search.causes.zip(weights).map { |cause, weight| cause.with(weight: weight / whole) }
      end

      def blunter(check)
        check.splits ? check : check.with(shows: check.shows.transform_values { |seen| [seen - 0.1, 0.05].max })
      end

      def gauss(random)
        Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
      end

      def mean(search, hidden, order, random)
        @believed = [] if order == :by_ladder
        hidden.sum { |machine| minutes(search, machine, order, random) } / hidden.size.to_f
      end

      # Until a check shows it, or nothing is left; openings are paid once.
      def minutes(search, machine, order, random)
        results = []
        fixed = send(order, search, random) unless order == :by_ladder
        while (key = fixed ? fixed.shift : next_of(search, results))
          answer = machine.answers.fetch(key)
          results << [key, answer]
          break if answer == :found && search.check_of(key).proves?
        end
        believe(search, results, machine) if order == :by_ladder
        spent(search, results)
      end

      # What comes next is the same wherever the same came out.
      def next_of(search, results)
        @steps.fetch(results) { @steps[results.dup] = Core::Faults::Ladder.new(search, results).next_step&.check&.key }
      end

      # Before each check, how much was believed of the likeliest cause, and whether it was that.
      def believe(search, results, machine)
        results.each_index do |done|
          key, share = likeliest(search, results.first(done))
          @believed << [share, machine.faults == [key].compact]
        end
      end

      def likeliest(search, results)
        @likeliest.fetch(results) do
          @likeliest[results] = Core::Faults::Ladder.new(search, results).belief.to_h.max_by { |_, share| share }
        end
      end

      def spent(search, results)
        done = results.map { |key, _| search.check_of(key) }
        done.sum(&:minutes) + search.opening_minutes(done.flat_map(&:needs).uniq)
      end

      def looks(search)
        search.checks.reject(&:splits)
      end

      def along_the_path(search, _random)
        looks(search).reject { |check| check.place.nil? }.map(&:key)
          .then { |keys| keys + (looks(search).map(&:key) - keys) }
      end

      def as_listed(search, _random)
        looks(search).sort_by.with_index do |check, index|
          [search.causes.index { |cause| check.shows.key?(cause.key) }, index]
        end.map(&:key)
      end

      def by_ratio(search, _random)
        weights = search.causes.to_h { |cause| [cause.key, cause.weight] }
        looks(search).sort_by.with_index do |check, index|
          [-check.shows.sum { |cause, seen| weights.fetch(cause) * seen } / check.minutes, index]
        end.map(&:key)
      end

      def at_random(search, random)
        looks(search).map(&:key).shuffle(random: random)
      end
    end
  end
end
