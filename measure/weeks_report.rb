# frozen_string_literal: true

require_relative "weeks/rules"

module UprightBench
  module Measure
    # Writes the table of docs/promises.md: promises by the plan, and by other rules, over simulated weeks.
    class WeeksReport
      PATH = File.expand_path("../docs/promises.md", __dir__)
      MARKS = ["<!-- table -->\n", "<!-- end -->\n"].freeze
      RUN = 10 # weeks without a break, which begin with an empty shop
      SPARES = (0..600).step(15)

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
        [["rule", "promises kept", "where a part is to come", "days promised", "where a part is to come"], %w[---] * 5,
         row("the plan of the bench", plan), row("each job by itself, two hours to spare (as it was)", by_itself),
         first_come(plan), row("three days for all", lived { Weeks::Rules::ThreeDays.new })]
          .map { |cells| "| #{cells.join(' | ')} |\n" }.join
      end

      def by_itself
        lived { Weeks::Rules::ByItself.new }
      end

      # With as little to spare as keeps as many.
      def first_come(plan)
        wanted = kept(plan)
        spare, given = SPARES.lazy.map { |minutes| [minutes, lived { Weeks::Rules::FirstCome.new(minutes) }] }
          .find { |_, lived| kept(lived) >= wanted }
        row("first come, first served, #{spare} min to spare", given)
      end

      # @return [Array<Array(Weeks::World::Job, Weeks::Shop::Given)>]
      def lived
        @worlds.flat_map do |world|
          given = Weeks::Shop.new(world, yield).live.given
          world.jobs.map { |job| [job, given.fetch(job.number)] }
        end
      end

      def row(name, lived)
        parts = lived.select { |job, _| job.comes }
        [name, interval(lived), percent(kept(parts)), days(lived), days(parts)]
      end

      def kept(lived)
        lived.count { |_, given| given.ready <= given.promised }.fdiv(lived.size)
      end

      def interval(lived)
        wilson = Core::Stats::Wilson.new(hits: (kept(lived) * lived.size).round, tries: lived.size)
        "#{percent(kept(lived))} (#{percent(wilson.low)} to #{percent(wilson.high)})"
      end

      def percent(share)
        format("%.1f %%", share * 100)
      end

      def days(lived)
        format("%.2f", lived.sum { |_, given| given.promised - given.asked }.fdiv(lived.size * Weeks::World::DAY))
      end
    end
  end
end
