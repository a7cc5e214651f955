# frozen_string_literal: true

require_relative "weeks/rules"

module UprightBench
  module Measure
    # Writes the table of docs/promises.md: promises by the plan, and by other rules, over simulated weeks.
    class WeeksReport
      PATH = File.expand_path("../docs/promises.md", __dir__)
      MARKS = ["<!-- table -->\n", "<!-- end -->\n"].freeze
      RUN = 10 # weeks without a break, which begin with an empty shop
      SPARES = (0..1500).step(5).to_a
      KINDS = { "nothing to wait for" => :plain, "something dries" => :dries, "a part within 2 days" => :soon,
                "a part in 3 or 4 days" => :late }.freeze
      # A job, and what was given to it.
      Lived = Struct.new(:job, :asked, :promised, :ready) do
        # @return [Symbol]
        def kind
          part = job.work.operations.last.not_before
          return part > 2 * Weeks::World::DAY ? :late : :soon if part.positive?

          job.work.operations.first.dry_minutes.positive? ? :dries : :plain
        end

        # @return [Boolean]
        def kept?
          ready <= promised
        end
      end

      # @param weeks [Integer]
      def initialize(weeks:)
        @worlds = (1..[weeks / RUN, 1].max).map { |seed| Weeks::World.new(seed, RUN) }
      end

      def write
        head, rest = File.read(PATH).split(MARKS.first, 2)
        File.write(PATH, [head, MARKS.first, table, MARKS.last, rest.split(MARKS.last, 2).last].join)
      end

      private

      def table
        plan = lived { Weeks::Rules::Plan.new }
        [["rule", "promises kept", "days promised", *KINDS.keys], %w[---] * (3 + KINDS.size),
         row("the plan of the bench", plan),
         row("each job by itself, two hours to spare (as it was)", lived { Weeks::Rules::ByItself.new }),
         *first_come(plan), row("three days for all", lived { Weeks::Rules::ThreeDays.new })]
          .map { |cells| "| #{cells.join(' | ')} |\n" }.join + size
      end

      def size
        "\n#{@worlds.size * RUN} weeks, #{@worlds.sum { |world| world.jobs.size }} machines; for each kind, how many " \
          "promises were kept, and the days promised.\n"
      end

      # With as little to spare as keeps as many: of all, and of each kind.
      def first_come(plan)
        lived = lived_by_order
        spare = least(lived, plan)
        spares = KINDS.values.to_h do |kind|
          [kind, least(lived.select { |one, _| one.kind == kind }, of(plan, kind))]
        end
        [row("first come, first served, #{spare} min to spare", promised(lived) { spare }),
         row("the same, #{spares.values.join(', ')} min to spare by kind",
           promised(lived) { |kind| spares.fetch(kind) })]
      end

      # @return [Array<Array(Lived, Weeks::Rules::FirstCome)>]
      def lived_by_order
        @worlds.flat_map do |world|
          rule = Weeks::Rules::FirstCome.new(SPARES)
          live(world, rule).map { |one| [one, rule] }
        end
      end

      # @return [Integer] minutes
      def least(lived, plan)
        wanted = kept(plan)
        SPARES.bsearch do |spare|
          lived.count { |one, rule| one.ready <= rule.promised(one.job.number, spare) } >= wanted * lived.size
        end || SPARES.last
      end

      # @yieldparam kind [Symbol]
      # @yieldreturn [Integer] minutes to spare
      # @return [Array<Lived>]
      def promised(lived)
        lived.map { |one, rule| one.dup.tap { |same| same.promised = rule.promised(one.job.number, yield(one.kind)) } }
      end

      # @return [Array<Lived>]
      def lived
        @worlds.flat_map { |world| live(world, yield) }
      end

      def live(world, rule)
        given = Weeks::Shop.new(world, rule).live.given
        world.jobs.map { |job| Lived.new(job, *given.fetch(job.number).to_a) }
      end

      def of(lived, kind)
        lived.select { |one| one.kind == kind }
      end

      def row(name, lived)
        [name, interval(lived), days(lived), *KINDS.values.map { |kind| of(lived, kind) }
          .map { |of_kind| "#{percent(kept(of_kind))}, #{days(of_kind)}" }]
      end

      def kept(lived)
        lived.count(&:kept?).fdiv(lived.size)
      end

      def interval(lived)
        wilson = Core::Stats::Wilson.new(hits: lived.count(&:kept?), tries: lived.size)
        "#{percent(kept(lived))} (#{percent(wilson.low)} to #{percent(wilson.high)})"
      end

      def percent(share)
        format("%.1f %%", share * 100)
      end

      def days(lived)
        format("%.2f", lived.sum { |one| one.promised - one.asked }.fdiv(lived.size * Weeks::World::DAY))
      end
    end
  end
end
