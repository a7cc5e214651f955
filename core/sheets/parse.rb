# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A sheet from plain data (hashes with string keys, as JSON gives them).
      #
      #   Parse.new(JSON.parse(text)).call   # => Sheet
      #
      # First the shape of everything, then what each part means; every problem is collected before it raises, so
      # that a sheet is mended in one go.
      class Parse
        # Small tables of a position, and of a step: what their rows hold, and what they mean.
        ROWS = { "shares" => [Shape::SHARE, OwnShare], "lights" => [Shape::LIGHT, Light] }.freeze
        STEP_ROWS = { "fasteners" => [Shape::FASTENER, Fastener] }.freeze

        # @param data [Hash{String=>Object}]
        def initialize(data)
          @data = Upgrade.call(data)
          @problems = []
        end

        # @return [Sheet]
        # @raise [Invalid] with every problem found
        def call
          raise Invalid, [Problem.new(path: [], words: "a sheet is an object")] unless @data.is_a?(Hash)

          shapes
          lists = meanings
          raise Invalid, @problems if @problems.any?

          Sheet.new(**head, **lists)
        end

        private

        def shapes
          problem(["format"], "format is #{Shape::FORMAT}") unless @data["format"] == Shape::FORMAT
          shape(@data, Shape::SHEET, [])
          each_of(@data, "stations", []) { |row, path| shape(row, Shape::STATION, path) }
          each_of(@data, "kits", []) { |row, path| shape(row, Shape::KIT, path) }
          each_of(@data, "positions", []) { |row, path| position_shapes(row, path) }
          each_of(@data, "steps", []) { |row, path| with_rows(row, path, Shape::STEP, STEP_ROWS) }
        end

        def position_shapes(row, path)
          with_rows(row, path, Shape::POSITION, ROWS)
          each_of(row, "tasks", path) do |task, inner|
            shape(task, Shape::TASK, inner)
            each_of(task, "clocks", inner) { |clock, innermost| shape(clock, Shape::CLOCK, innermost) }
          end
        end

        def with_rows(row, path, spec, tables)
          shape(row, spec, path)
          tables.each { |key, (inner_spec, _)| each_of(row, key, path) { |inner, at| shape(inner, inner_spec, at) } }
        end

        def shape(row, spec, path)
          @problems.concat(Shape.problems(row, spec, path))
        end

        # Lists of the wrong shape are complained of where they stand, and not looked into.
        def each_of(row, key, path, &)
          list = row[key].is_a?(Array) && row[key].all?(Hash) ? row[key] : []
          list.each_with_index.map { |inner, index| [inner, path + [key, index]] }.each(&)
        end

        def meanings
          { positions: map("positions") { |row, path| position(row, path) },
            kits: map("kits") { |row, _| Kit.new(**symbols(row)) },
            stations: map("stations") { |row, _| Station.new(**symbols(row)) },
            steps: map("steps") { |row, path| step(row, path) } }
        end

        def head
          fields = symbols(@data.except("format", "positions", "kits", "stations", "steps"))
          { **fields, kind: fields[:kind].to_sym, power: fields[:power].to_sym }
        end

        # What has the wrong shape was complained of already, and means nothing.
        def map(key, row = @data, path = [])
          wrong = @problems.map(&:path)
          each_of(row, key, path).map do |inner, here|
            said_at(here) { yield inner, here } if wrong.none? { |other| other.first(here.size) == here }
          end
        end

        def position(row, path)
          fields = symbols(row.except("tasks", *ROWS.keys))
          fields[:kind] = row["kind"].to_sym
          fields[:water] = row["water"].to_sym if row["water"]
          Position.new(**fields, **rows(row, path, ROWS),
            tasks: map("tasks", row, path) { |task, inner| task(task, row, inner) }.compact)
        end

        def step(row, path)
          Step.new(**symbols(row.except(*STEP_ROWS.keys)), **rows(row, path, STEP_ROWS))
        end

        def rows(row, path, tables)
          tables.to_h do |key, (_, value)|
            [key.to_sym, map(key, row, path) { |inner, _| value.new(**symbols(inner)) }.compact]
          end
        end

        def task(row, position, path)
          clocks = map("clocks", row, path) { |clock, _| clock(clock, row, position) }.compact
          return if clocks.size < row["clocks"].size # each was complained of where it stands

          Clocks::Task.new(**symbols(row), action: row["action"].to_sym,
            disposable: %w[bag bin].include?(position["kind"]), clocks: clocks)
        end

        def clock(clock, task, position)
          goes_by = clock["goes_by"]&.to_sym || GoesBy.default(position["kind"], task["action"], clock["kind"])
          Clocks::Clock.of(**symbols(clock), goes_by: goes_by)
        end

        # What a value refuses is a problem of the place it stands at.
        def said_at(path)
          yield
        rescue ArgumentError => e
          problem(path, e.message)
          nil
        end

        def problem(path, words)
          @problems << Problem.new(path: path, words: words)
        end

        def symbols(row)
          row.transform_keys(&:to_sym)
        end
      end
    end
  end
end
