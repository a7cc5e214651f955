# frozen_string_literal: true

module UprightBench
  module Measure
    # The quick tests at forty moments at which something that depends on the time of day, the day or the zone would
    # show: every hour of a working day, Sunday, both changes of the clocks, 29 February, the end of a year, and
    # midnight in three zones.
    class Moments
      ROOT = File.expand_path("..", __dir__)
      HALIFAX = "America/Halifax"
      BERLIN = "Europe/Berlin"
      AUCKLAND = "Pacific/Auckland"
      HOURS = (0..23).map { |hour| [format("2026-10-15 %02d:20", hour), HALIFAX] }.freeze
      # On these days the clocks go forward and back there (IANA time zone database).
      CHANGES = [["2027-03-14 01:50", HALIFAX], ["2027-03-14 03:10", HALIFAX], ["2026-11-01 01:10", HALIFAX],
                 ["2026-10-31 20:00", HALIFAX], ["2027-03-28 10:00", BERLIN], ["2026-10-25 10:00", BERLIN]].freeze
      MIDNIGHTS = [HALIFAX, BERLIN, AUCKLAND].flat_map do |zone|
        [["2026-10-15 23:50", zone], ["2026-10-16 00:01", zone]]
      end
        .freeze
      DAYS = [["2028-02-29 10:00", HALIFAX], ["2026-12-31 17:30", HALIFAX], ["2027-01-01 09:00", AUCKLAND],
              ["2026-10-18 11:00", HALIFAX]].freeze
      ALL = [*HOURS, *CHANGES, *MIDNIGHTS, *DAYS].freeze

      # @param from [Integer] the first one to be tried, counted from 1
      def initialize(from: 1, out: $stdout)
        @from = from
        @out = out
      end

      # @return [Boolean] whether the tests passed at each
      def call
        failed = ALL.each.with_index(1).drop(@from - 1).reject do |(moment, zone), number|
          passes?(moment, zone, number)
        end
        failed.each { |(moment, zone), number| @out.puts "failed: #{number}, #{moment} #{zone}" }
        failed.empty?
      end

      private

      def passes?(moment, zone, number)
        @out.puts "#{number} of #{ALL.size}: #{moment} #{zone}"
        system({ "TEST_MOMENT" => moment, "SHOP_TZ" => zone }, File.join(ROOT, "bin/test"), "quick")
      end
    end
  end
end
