# frozen_string_literal: true

require_relative "suction_bench"

module UprightBench
  module Measure
    # The table of readings in docs/finding-the-fault.md, between its marks.
    class SuctionReport
      PATH = File.expand_path("../docs/finding-the-fault.md", __dir__)
      MARKS = ["<!-- readings -->", "<!-- end of readings -->"].freeze
      ERRORS = [1, 2, 5].freeze # percent
      COLUMNS = ["machine and complaint", "gauge", "machines", "first two readings", "first asked", "second asked",
                 "third asked"].freeze

      # @param cases [Array<Array(Core::Sheets::Sheet, Symbol)>] models and complaints
      # @param machines [Integer] simulated for each of them and each gauge
      def initialize(cases, machines:)
        @cases = cases
        @machines = machines
      end

      def write
        head, rest = File.read(PATH).split(MARKS.first, 2)
        tail = rest.split(MARKS.last, 2).last
        File.write(PATH, [head, MARKS.first, "\n", table, "\n", MARKS.last, tail].join)
      end

      private

      def table
        rows = @cases.product(ERRORS).flat_map { |(sheet, complaint), error| lines(sheet, complaint, error) }
        ["| #{COLUMNS.join(' | ')} |", "|#{' --- |' * COLUMNS.size}", *rows].join("\n")
      end

      def lines(sheet, complaint, error)
        outcomes = SuctionBench.new(sheet, complaint, error_percent: error, machines: @machines).call
        large = outcomes.select { |outcome| outcome.loss >= SuctionBench::LARGE }
        words = Core::Faults::Complaints.fetch(complaint).words
        { "all" => outcomes, "lost 30 % and more" => large }.map do |which, some|
          shares = Array.new(SuctionBench::ASKED + 1) { |index| shares(some, index) }
          "| #{sheet.kind}, #{words}, #{which} | #{error} % | #{some.size} | #{shares.join(' | ')} |"
        end
      end

      # @return [String] percent named right / named wrong / not to be told
      def shares(outcomes, index)
        told = outcomes.map { |outcome| outcome.named[index] }.tally
        %i[right wrong cannot_tell].map { |word| (100.0 * told.fetch(word, 0) / outcomes.size).round(1) }.join(" / ")
      end
    end
  end
end
