# frozen_string_literal: true

require "json"

module UprightBench
  module Formats
    # A model sheet as a JSON file, as docs/sheet.schema.json describes it. Written in one order, and the same again
    # when it was read; what came in an older format is brought to today's.
    class SheetFile
      MOST_BYTES = 500_000
      SHAPE = Core::Sheets::Shape
      DEEPEST = 20

      # @param text [String] UTF-8
      # @return [Hash{String=>Object}] content as Core::Sheets::Parse takes it, every rule kept
      # @raise [Malformed]
      def self.read(text)
        raise Malformed, ["The file is larger than any sheet (#{MOST_BYTES / 1000} kB)."] if text.bytesize > MOST_BYTES

        text = text.delete_prefix("\uFEFF")
        content = JSON.parse(text, max_nesting: DEEPEST)
        Core::Sheets::Parse.new(content).call
        Core::Sheets::Upgrade.call(content)
      rescue JSON::ParserError => e
        raise Malformed, ["#{place_of(e)}it is no JSON: #{e.message.sub(/ at line \d+ column \d+.*/m, '')[0, 200]}."]
      rescue Core::Sheets::Invalid => e
        raise Malformed, with_lines(text, e.problems)
      end

      def self.with_lines(text, problems)
        lines = JsonLines.new(text).call
        problems.map { |problem| "Line #{nearest(lines, problem.path)}: #{problem}." }
      end
      private_class_method :with_lines

      # @param content [Hash{String=>Object}]
      # @return [String]
      def self.write(content)
        sorted = ordered(content, SHAPE::SHEET)
        sorted["positions"] = sorted.fetch("positions").map { |row| position(row) }
        sorted["steps"] = sorted["steps"].map { |row| step(row) } if sorted["steps"]
        sorted["stations"] = sorted.fetch("stations").map { |row| ordered(row, SHAPE::STATION) }
        "#{JSON.pretty_generate(sorted)}\n"
      end

      class << self
        private

        def position(row)
          tasks = row["tasks"]&.map do |task|
            ordered(task, SHAPE::TASK).merge("clocks" => task["clocks"].map { |clock| ordered(clock, SHAPE::CLOCK) })
          end
          ordered(row.merge({ "tasks" => tasks }.compact), SHAPE::POSITION)
        end

        def step(row)
          held = row["fasteners"]&.map { |fastener| ordered(fastener, SHAPE::FASTENER) }
          ordered(row.merge({ "fasteners" => held }.compact), SHAPE::STEP)
        end

        def ordered(row, spec)
          spec.keys.filter_map { |key| [key, row[key]] if row.key?(key) }.to_h
        end

        def nearest(lines, path)
          path = path[0...-1] until lines.key?(path)
          lines.fetch(path)
        end

        def place_of(error)
          line = error.message[/line (\d+)/, 1]
          line ? "Line #{line}: " : ""
        end
      end
    end
  end
end
