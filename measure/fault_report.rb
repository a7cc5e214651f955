# frozen_string_literal: true

require_relative "fault_bench"

module UprightBench
  module Measure
    # The tables of docs/finding-the-fault.md, between its marks.
    class FaultReport
      PATH = File.expand_path("../docs/finding-the-fault.md", __dir__)
      MARKS = ["<!-- measured -->", "<!-- end -->"].freeze

      # @param sheets [Array<Core::Sheets::Sheet>]
      # @param machines [Integer] simulated for each complaint
      def initialize(sheets, machines:)
        @sheets = sheets
        @machines = machines
      end

      def write
        head, rest = File.read(PATH).split(MARKS.first, 2)
        tail = rest.split(MARKS.last, 2).last
        File.write(PATH, [head, MARKS.first, "\n", tables, MARKS.last, tail].join)
      end

      private

      def tables
        @sheets.map { |sheet| [minutes_table(sheet), belief_table].join("\n") }.join("\n")
      end

      def minutes_table(sheet)
        own, other = [false, true].map { |off| FaultBench.new(sheet, machines: @machines, off: off).call }
        @right = own.flat_map(&:right)
        orders = FaultBench::ORDERS.keys
        lines = own.zip(other).map { |rows| line(*rows, orders) }
        ["### A #{sheet.kind}, #{sheet.power}", header(orders), *lines, mean_line(own, other, orders), ""].join("\n")
      end

      def header(orders)
        columns = ["complaint", *orders, "ladder, other world", "along the path, other world"]
        "| #{columns.join(' | ')} |\n| --- |#{' ---: |' * (columns.size - 1)}"
      end

      def line(own, other, orders)
        figures = [*own.minutes.values_at(*orders), *other.minutes.values_at("ladder", "along the path")]
        "| #{own.complaint.words} | #{figures.map { |minutes| format('%.1f', minutes) }.join(' | ')} |"
      end

      def mean_line(own, other, orders)
        figures = orders.map { |order| mean(own, order) } + ["ladder", "along the path"].map do |order|
          mean(other, order)
        end
        "| **mean** | #{figures.map { |minutes| format('**%.1f**', minutes) }.join(' | ')} |"
      end

      def mean(rows, order)
        rows.sum { |row| row.minutes.fetch(order) } / rows.size
      end

      # Of the times that it believes so much in the likeliest cause, how often it was that.
      def belief_table
        lines = @right.group_by { |share, _| (share * 10).floor }.sort.map do |_, told|
          said, right = told.transpose.then do |shares, hits|
            [shares.sum / told.size, hits.count(true) / told.size.to_f]
          end
          "| #{format('%.2f', said)} | #{format('%.2f', right)} | #{told.size} |"
        end
        ["| believed | was right | times |", "| ---: | ---: | ---: |", *lines, ""].join("\n")
      end
    end
  end
end
